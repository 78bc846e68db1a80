require "digest"

module Rhexon
  module Planning
    # Where the plan that is kept has a pass.
    # @!attribute minute    [Integer]
    # @!attribute person    [String, nil]
    # @!attribute because   [String, nil] what fixed it, as Placement has it
    # @!attribute stretches [Array<Array(Integer, Integer)>, nil] of hands, where it pauses
    # @!attribute scuff_at  [Integer, nil] minute of the scuff before it
    # @!attribute scuff_by  [String, nil] who does that
    # @!attribute mark      [String, nil] of the work it was planned for
    Start = Struct.new(:minute, :person, :because, :stretches, :scuff_at, :scuff_by, :mark) do
      # @param record [Hash] of "previous" in rhexon-shop/1
      # @param shop [Shop]
      def self.read(record, shop)
        minute = shop.near(record["start"], "previous")
        scuff = record["scuff"]
        new(minute, record["person"], record["because"],
            record["hands_min"]&.map { |stretch| stretch.map { |after| minute + after } },
            scuff && minute - scuff["ahead_min"], scuff && scuff["person"], record["mark"])
      end

      # @param plan [Plan]
      # @return [Array<Hash>] "previous" of rhexon-shop/1: every pass of it that is still to be done
      def self.of(plan)
        planned = plan.placements.select { |one| one.status == "planned" && one.hands.any? && one.pass.kind != "scuff" }
        planned.map { |one| record(plan, one) }
      end

      def self.record(plan, placement)
        start = placement.hands_start
        {
          "pass" => placement.pass.key, "start" => plan.shop.zone.iso(start), "person" => placement.person,
          "because" => placement.because, "mark" => mark(placement.pass),
          "scuff" => scuff(plan.build.scuffs_before(placement.pass.key).last, start),
          "hands_min" => (placement.hands.map { |span| span.map { |at| at - start } } if placement.hands.size > 1)
        }.compact
      end

      def self.scuff(placed, start)
        placed && { "ahead_min" => start - placed.hands_start, "person" => placed.person }
      end
      private_class_method :record, :scuff

      # What is planned: with another mark a pass is other work, and is placed anew.
      # @param pass [Pass]
      # @return [String]
      def self.mark(pass)
        urgent = pass.piece.priority if pass.piece.priority == "urgent"
        rest = [ pass.coat, pass.faces, pass.range.size, *urgent ]
        return digest(pass.step, rest) unless pass.step.frozen?

        Start::MARKS.fetch([ pass.step.object_id, rest ]) { digest(pass.step, rest) }
      end

      def self.digest(step, rest)
        Digest::SHA256.hexdigest(JSON.generate([ step.except("note", "pins"), *rest ]))[0, 8]
      end
      private_class_method :digest
    end
    # Of steps that cannot change.
    Start::MARKS = Cache.new(4000)
    # A start that moves by no more stays where it was, minutes.
    Start::NEAR_MIN = 15
  end
end
