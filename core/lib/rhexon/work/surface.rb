require "forwardable"

module Rhexon
  module Work
    # What a face is like at one moment: the film on it, the scratch in it, its sheen and what lies on it. A value:
    # every kind of work answers with another one.
    #
    # @!attribute film      [Film::Stack]
    # @!attribute scratch_um [Numeric, nil] mean grain of the coarsest scratch still there, µm; nil: not known
    # @!attribute rubbed_um [Numeric, nil] mean grain of the coarsest scratch rubbed into the film; nil: as laid
    # @!attribute sheen_gu  [Numeric, nil] at 60°; nil: bare wood, or not known
    # @!attribute hazy      [Boolean] rubbed near to what its film can give
    # @!attribute grain     [String, nil] "standing" after water on bare wood, "settled" once that was sanded
    # @!attribute residue   [String, nil] what lies on it and nothing bonds to: oil, wax, stripper, dust
    # @!attribute found     [Hash] what was there before the schedule began, of the face's record
    Surface = Struct.new(:film, :scratch_um, :rubbed_um, :sheen_gu, :hazy, :grain, :residue, :found,
                         keyword_init: true) do
      extend Forwardable
      def_delegators :film, :layers, :coats_laid, :variance_um2, :texture_um, :pores_um, :total_um, :sd_um,
                     :clear_over_colour, :sand_through, :chance_through, :pores_filled, :pore_depth_um, :pores,
                     :top_layer, :chance_under

      # @return [Surface]
      def with(**changes) = self.class.new(**to_h, **changes).freeze

      # @return [Film::Layer, nil] what of the film lies uppermost
      def top = layers.reverse.find(&:left?)

      def bare? = film.total_um.zero?

      # @return [Numeric, nil] GU that the topmost film was made with
      def film_gu = top&.sheen_gu
    end
  end
end
