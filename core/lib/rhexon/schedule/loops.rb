module Rhexon
  module Schedule
    # Until it looks right: a look may send its steps round once more. Coats of a step that is gone through again are
    # counted on, so that the second coat of a step of one is its second round.
    module Loops
      # Rounds that are gone at most, whatever was planned: more is no loop but another schedule.
      MOST_ROUNDS = 12

      module_function

      # @param document [Hash]
      # @return [Array<Hash>] looks that send steps round again
      def looks(document) = document["steps"].select { |step| step["again"] }

      # @return [Hash, nil] the look that sends a step round again, or the look itself
      def look_of(document, step_id)
        looks(document).find { |look| look["id"] == step_id || look["again"]["steps"].include?(step_id) }
      end

      # @return [Integer] coat numbers that passes of a step may have
      def most_coats(document, step)
        times = (step["faces"] || []).tally.values.max || 1
        (step["coats"] || 1) * times * (look_of(document, step["id"]) ? MOST_ROUNDS + 1 : 1)
      end

      # @param step [Hash]
      # @param face [String] that is laid on
      # @return [Integer] coats that it gets in one round: those of the step, as often as the face is listed
      def coats_on(step, face) = (step["coats"] || 1) * [ (step["faces"] || []).count(face), 1 ].max

      # @param coat [Integer] as its passes are numbered
      # @return [Array(Integer, Integer)] round (0 for the first time), and coat within it
      def round_of(step, face, coat) = (coat - 1).divmod(coats_on(step, face)).then { |round, at| [ round, at + 1 ] }

      # @raise [InvalidInput] when a loop names what is not before its look, or more rounds than its most
      def check!(document)
        taken = {}
        looks(document).each do |look|
          before = document["steps"].take_while { |step| !step.equal?(look) }.map { |step| step["id"] }
          check_look!(look, before, taken)
        end
      end

      # A step that is gone is out of its loop; a loop without steps is none.
      # @return [Hash] the document
      def without(document, step_id)
        document.merge("steps" => document["steps"].map { |step|
          next step unless step["again"]&.fetch("steps")&.include?(step_id)

          left = step["again"]["steps"] - [ step_id ]
          left.empty? ? step.except("again") : step.merge("again" => step["again"].merge("steps" => left))
        })
      end

      def check_look!(look, before, taken)
        where = "steps/#{look["id"]}/again"
        again = look["again"]
        stray = (again["steps"] - before).first
        Rhexon.refuse_unless(stray.nil?, "A look sends only steps before it round again, and not #{stray}",
                             where: where, accepted: before.join(", "))
        Rhexon.refuse_unless(again["rounds"] <= again["most"], "#{again["rounds"]} rounds are more than the most",
                             where: where, accepted: "at most #{again["most"]}")
        again["steps"].each do |id|
          Rhexon.refuse_unless(taken[id].nil?, "Step #{id} is sent round again by two looks", where: where,
                                                                                            accepted: "one of them")
          taken[id] = look["id"]
        end
      end
      private_class_method :check_look!
    end
  end
end
