module Rhexon
  module Systems
    # Where a system takes up a piece that has a film already.
    class Onward
      SCUFF = { "kind" => "level", "aim" => "scuff", "grits" => [ "P320" ] }.freeze

      # @param system [System]
      # @param kept [Kept]
      # @param picks [Array<Array(Materials::Product, String)>] what each of its layers is laid on with
      def initialize(system, kept, picks)
        @system = system
        @kept = kept
        @picks = picks
      end

      # The layer of the system that lies on top already.
      # @return [Integer, nil] nil: none of them
      def on
        top = @kept.top
        top && @picks.rindex { |product, _| product && product.id == top["product"] }
      end

      # @return [Array<Hash>] what is done, its last step going on where that is a layer of the system
      def begun = goes_on? ? @kept.up_to(System.first_coats(@system.lays[on])) : @kept.steps

      # The first layer that is still to come. What seals bare wood is not needed over a film.
      # @return [Integer]
      def first_to_come
        return 0 unless @kept.film?
        return @system.lays.size if waxed?
        return @system.lays.index { |laid| !%w[seal washcoat].include?(laid["role"]) } unless on

        goes_on? || @system.lays[on]["coats"] != "film" ? on + 1 : on
      end

      # Over a film of another product; wax goes off first.
      # @return [Array<Hash>]
      def scuffed
        return [] if waxed? || (on && !@kept.kind?("wax"))

        [ ({ "kind" => "clean", "way" => Work::Kinds::Clean.way_for("wax") } if @kept.kind?("wax")), SCUFF ].compact
      end

      private

      def goes_on? = !on.nil? && @kept.steps.last.equal?(@kept.top) && @system.lays[on].key?("coats")

      # Its film is on, and the wax that ends it too.
      def waxed? = !on.nil? && @system.lays.last["do"] == "wax" && @kept.kind?("wax")
    end
  end
end
