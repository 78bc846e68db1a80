module Rhexon
  module Compare
    # What was done of a piece, pass by pass, beside what was reckoned for it.
    class Done
      # @!attribute from, to     [Integer] minutes, from the first hand on it to the last
      # @!attribute hands_min    [Float, nil] that it took: by the log, which ends when the last is laid on, and the
      #   cleaning of gear as it is reckoned; nil where only the end was logged
      # @!attribute reckoned_min [Float] that hands are reckoned with
      # @!attribute film_um      [Float, nil] dry film that it left on, or (less than 0) took off; nil: it does neither
      # @!attribute air          [Drying::Climate] of its room when it was begun
      # @!attribute g            [Float, nil] of mix that it is reckoned with; nil where nothing is laid on
      Line = Struct.new(:key, :words, :person, :room, :method, :from, :to, :hands_min, :reckoned_min, :film_um, :air,
                        :g, :product, keyword_init: true)

      # @param plan [Planning::Plan] with the piece and its log
      # @param piece_id [String]
      def initialize(plan, piece_id)
        @plan = plan
        @id = piece_id
      end

      # @return [Array<Line>] in the order in which it was done
      def lines = @lines ||= done.map { |placement| line(placement) }.sort_by { |one| [ one.from, one.key ] }

      # @param key [String] of a pass
      # @return [Line, nil]
      def line_of(key) = (@by_key ||= lines.to_h { |one| [ one.key, one ] })[key]

      private

      def done = @plan.of_piece(@id).select { |one| one.status == "done" && one.hands.any? }

      def line(placement)
        pass = placement.pass
        took = placement.hands.sum { |from, to| to - from }
        Line.new(key: pass.key, words: Schedule::Words.step(pass.step, pass.product&.name), person: placement.person,
                 room: pass.room, method: pass.method, from: placement.hands_start, to: placement.hands_end,
                 hands_min: (took.to_f + pass.cleanup_min if took.positive?), reckoned_min: pass.hands_min.to_f,
                 film_um: film_um(pass.key), air: @plan.shop.line(pass.room).at(placement.work_start), g: grams(pass),
                 product: pass.product&.id)
      end

      def film_um(key)
        moment = walk.at(key) or return
        (moment.after.total_um - moment.before.total_um).round(1)
      end

      def walk = @walk ||= @plan.film(@id, @plan.thickest_face(@id))

      def grams(pass)
        Mixing::Outlay.pours(pass, @plan.shop).sum(&:g).round(1) if pass.leaves_something?
      rescue InvalidInput
        nil # a mix that its product cannot give any more
      end
    end
  end
end
