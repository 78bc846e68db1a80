module Rhexon
  module Film
    # The film of one face, pass by pass, as planned and logged.
    class Walk
      # @!attribute before, after [Stack]
      # @!attribute removed_um [Float] taken off the face by an abrasion
      # @!attribute asked_um   [Float] what its paper takes where there is enough
      Snapshot = Struct.new(:placement, :before, :after, :removed_um, :asked_um, keyword_init: true)

      # @!attribute snapshots [Array<Snapshot>] one for each pass that changes this face
      attr_reader :snapshots, :bare

      # @param placements [Array<Planning::Placement>] of the piece, in working order
      def initialize(placements, piece, face_id, products)
        @products = products
        @bare = Stack.new(wood: piece.wood(face_id), arris: piece.arris || "sharp")
        stack = @bare
        @snapshots = placements.filter_map do |placement|
          pass = placement.pass
          next if !(pass.faces.include?(face_id) || pass.caught.include?(face_id)) || pass.range.begin.positive?

          before = stack
          stack, asked = step(stack, placement)
          unless stack.equal?(before)
            Snapshot.new(placement: placement, before: before, after: stack,
                         removed_um: [ before.total_um - stack.total_um, 0.0 ].max, asked_um: asked)
          end
        end
      end

      # @return [Stack] film at the end
      def final = @snapshots.last&.after || @bare

      # @return [Snapshot, nil]
      def at(pass_key) = @snapshots.find { |snapshot| snapshot.placement.pass.key == pass_key }

      # @return [Planning::Pass, nil] the last coat on the face
      def last_coat = @snapshots.reverse.map { |snapshot| snapshot.placement.pass }.find(&:film?)

      private

      def step(stack, placement)
        pass = placement.pass
        case pass.kind
        when "coat" then [ coat(stack, placement), 0.0 ]
        when "stain" then [ stack.stain(pass.product), 0.0 ]
        when *Abrasion::KINDS then abrade(stack, Abrasion.for(pass, stack.texture_um))
        else [ stack, 0.0 ]
        end
      end

      def coat(stack, placement)
        pass = placement.pass
        stack.coat(
          pass.product, method: pass.method, pass: pass.key, wet_um: pass.wet_um,
          mixed_solids_percent: pass.solids_percent, fused: placement.inside, role: pass.step["role"]
        )
      end

      def abrade(stack, taken)
        stack.layers.empty? ? [ stack, 0.0 ] : [ stack.abrade(taken.um, texture_um: taken.texture_um), taken.um ]
      end
    end
  end
end
