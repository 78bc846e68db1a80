module Rhexon
  module Picture
    # The rungs of an abrasion, each with its grain, what it takes off and the sheen that is there after it.
    module Rungs
      # @!attribute id      [String] as a schedule writes it
      # @!attribute mean_um [Numeric] mean grain
      # @!attribute takes_um [Float] off the film; 0 on bare wood
      # @!attribute sheen_gu [Float, nil] nil on bare wood
      Rung = Struct.new(:id, :words, :mean_um, :takes_um, :sheen_gu, :sheen, :hazy, keyword_init: true)

      module_function

      # @param pass [Planning::Pass] an abrasion
      # @param surface [Work::Surface] before it
      # @return [Array<Rung>]
      def of(pass, surface)
        bare = surface.bare? || pass.work.bares?(pass.step)
        rungs, texture = pass.work.rubbing(pass.step), surface.texture_um
        reached = Prep::Sheen.rubbed(rungs, before_gu: surface.sheen_gu, film_gu: surface.film_gu,
                                            rubbed_um: surface.rubbed_um)
        rungs.each_with_index.map do |abrasive, index|
          next rung(abrasive, 0.0, nil) if bare

          taken = taken(pass, abrasive, texture, index)
          texture = taken.texture_um
          rung(abrasive, taken.um, reached[index])
        end
      end

      # A removal that is stated is of all rungs together, and shown with the first.
      def taken(pass, abrasive, texture, index)
        step = pass.step.merge("grits" => [ abrasive.to_s ])
        step = step.merge("removes_um" => 0) if pass.step["removes_um"] && index.positive?
        pass.work.taken(step, texture)
      end

      def rung(abrasive, um, reached)
        Rung.new(
          id: abrasive.to_s, words: abrasive.words, mean_um: abrasive.mean_um, takes_um: um.round(2),
          sheen_gu: reached&.gu&.round(1), sheen: reached && Prep::Sheen.name(reached.gu), hazy: reached&.hazy || false
        ).freeze
      end
      private_class_method :taken, :rung
    end
  end
end
