module Rhexon
  module Handover
    # What is handed over with a piece: what lies on it, from when it bears what, and how it is kept.
    class Sheet
      # @!attribute family  [String] "Waterborne, two part": what kind of product it is
      # @!attribute product [String] the product itself, which a shop may keep to itself
      # @!attribute coats   [Integer]
      # @!attribute at      [Integer] minute at which the last of them was, or is planned to be, on
      # @!attribute done    [Boolean]
      Layer = Struct.new(:family, :product, :role, :coats, :at, :done, keyword_init: true)

      # @param plan [Planning::Plan]
      # @param piece_id [String]
      def initialize(plan, piece_id)
        @plan = plan
        @piece = plan.piece(piece_id)
      end

      # @return [Array<Layer>] in the order they were laid
      def layers
        laid.group_by { |placed| placed.pass.step["id"] }.map do |_, of_step|
          pass = of_step.first.pass
          Layer.new(family: Reference.classes.classes.fetch(pass.product.class_id).fetch("name"),
                    product: pass.product.name, role: pass.step["role"] || pass.step["kind"],
                    coats: of_step.map { |placed| placed.pass.coat }.uniq.size,
                    at: of_step.map(&:work_end).max, done: of_step.all? { |placed| placed.status == "done" }).freeze
        end
      end

      # @return [Array<Dates::From>]
      def dates = Dates.new(@plan, @piece.id).to_a

      # @return [Care]
      def care = Care.new(tops, @piece.use)

      # @return [Integer, nil] minute at which the last work on it was, or is planned to be, done
      def finished_at = @plan.of_piece(@piece.id).map(&:work_end).max

      # @return [Boolean] whether all of it is done
      def finished?
        @plan.of_piece(@piece.id).any? && @plan.of_piece(@piece.id).all? { |placed| placed.status == "done" }
      end

      private

      def laid = @laid ||= @plan.of_piece(@piece.id).select { |placed| placed.pass.product && placed.milestones }

      # What lies on top of each face.
      def tops
        faces = laid.flat_map { |placed| placed.pass.faces }.uniq
        faces.map { |face| laid.reverse.find { |placed| placed.pass.faces.include?(face) }.pass.product }.uniq
      end
    end
  end
end
