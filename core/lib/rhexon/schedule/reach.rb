module Rhexon
  module Schedule
    # Which faces a step can get at: what is masked before it catches nothing, what is fitted is shut.
    module Reach
      module_function

      # Faces under tape when a step begins. A mask that names no faces is for fittings and edges of its own.
      # @return [Array<String>]
      def masked(document, step)
        before(document, step).reduce([]) do |under, other|
          case other["kind"]
          when "mask" then under | (other["faces"] || [])
          when "unmask" then other["faces"] ? under - other["faces"] : []
          else under
          end
        end
      end

      # Masks before a step that no step takes off: the plan does, after the last that is laid on.
      # @return [Array<Hash>] mask steps
      def open_masks(document, step)
        return [] if document["steps"].any? { |other| other["kind"] == "unmask" }

        before(document, step).select { |other| other["kind"] == "mask" }
      end

      # @raise [InvalidInput] when a step is for a face that is under tape or shut, or names one twice that it does not
      #   lay on
      def check!(document)
        shut = {}
        document["steps"].each do |step|
          refuse!(step, masked(document, step), "is masked by then") if Work::Steps.lays?(step)
          refuse!(step, shut.keys, "is shut since step #{shut.values.last}") unless Work::Steps.idle?(step)
          twice!(step)
          step["closes"]&.each { |face| shut[face] = step["id"] }
        end
      end

      def before(document, step) = document["steps"].take_while { |other| other["id"] != step["id"] }

      def refuse!(step, gone, why)
        lost = ((step["faces"] || []) & gone).first
        Rhexon.refuse_unless(lost.nil?, "Step #{step["id"]} is for #{lost}, which #{why}",
                             where: "steps/#{step["id"]}/faces", accepted: "faces that can be got at")
      end

      def twice!(step)
        again = (step["faces"] || []).tally.find { |_, count| count > 1 }&.first
        Rhexon.refuse_unless(again.nil? || Work::Steps.lays?(step), "Step #{step["id"]} names #{again} twice",
                             where: "steps/#{step["id"]}/faces", accepted: "each face once, unless it is laid on")
      end
      private_class_method :before, :refuse!, :twice!
    end
  end
end
