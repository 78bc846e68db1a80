module Rhexon
  module Planning
    # Earliest and latest start of each planned pass, order and people fixed: a forward and a backward pass.
    # Earliest: right after what it waits for and what the hands do before. Latest: so that nothing after it moves past its own latest
    # and the piece is still ready when planned (or when due, if that is later), and the window below it is still open.
    class Slack
      Range = Struct.new(:earliest, :latest, keyword_init: true)

      # @return [Hash{String=>Range}] by pass key
      def self.of(shop, build, drier) = new(shop, build, drier).ranges

      attr_reader :ranges

      def initialize(shop, build, drier)
        @shop = shop
        @build = build
        @drier = drier
        @planned = build.placements.select { |placement| placement.status == "planned" }
        @followers = followers
        @latest = {}
        @planned.reverse_each.with_index { |placement, back| @latest[placement.pass.key] = latest(placement, later_hands(placement, back)) }
        @ranges = @planned.each_with_index.to_h { |placement, at| [ placement.pass.key, Range.new(earliest: earliest(placement, at), latest: @latest[placement.pass.key]) ] }
      end

      private

      def followers
        @planned.each_with_object({}) { |placement, found| placement.pass.needs.each { |need| (found[need.pass] ||= []) << [ placement, need ] } }
      end

      def earliest(placement, at)
        before = @planned.first(at).reverse.find { |other| other.hands.any? }
        same_piece = @build.placements.take_while { |other| !other.equal?(placement) }.reverse.find { |other| other.pass.piece.equal?(placement.pass.piece) }
        ready = placement.waits.filter_map(&:reached_at).max
        from = [ @shop.now, before&.hands_end, same_piece&.hands_end, ready && ready - placement.pass.setup_min ].compact.max
        return placement.hands_start if placement.hands.size != 1

        start = Hands.new(@shop.calendar).slot(from, placement.pass.hands_min)
        [ start || placement.hands_start, placement.hands_start ].min
      end

      def later_hands(placement, back)
        return if placement.hands.empty?

        @planned.last(back).find { |other| other.hands.any? }
      end

      def latest(placement, next_hands)
        return placement.hands_start if placement.hands.size != 1

        limits = [ next_hands && @latest[next_hands.pass.key], window_limit(placement), *waiting(placement), *tail(placement), *same_piece(placement) ].compact
        return placement.hands_start if limits.empty?

        [ @shop.calendar.latest_start(limits.min, placement.pass.hands_min) || placement.hands_start, placement.hands_start ].max
      end

      # A later start of the work may not lose the window below.
      def window_limit(placement)
        window = placement.window
        return unless window&.state == "open" && window.closes_at

        window.closes_at - placement.pass.setup_min + placement.pass.hands_min
      end

      def waiting(placement)
        (@followers[placement.pass.index] || []).filter_map do |follower, need|
          reached = @drier.reached(placement, need.milestone, need.pair_min)
          next unless reached&.reached_at

          @latest.fetch(follower.pass.key) + follower.pass.setup_min - (reached.reached_at - placement.work_end) + placement.pass.cleanup_min
        end
      end

      # Nothing later on this piece: it may move until the piece would be ready later than planned or due.
      def tail(placement)
        piece = placement.pass.piece
        return [] unless placement.pass.last_on_faces || last_of_piece?(placement)

        ready = @build.ready[piece.id] or return []
        dry = placement.milestones && @drier.reached(placement, piece.ready_at)&.reached_at
        [ [ ready, piece.due ].compact.max - (dry ? dry - placement.work_end - placement.pass.cleanup_min : 0) ]
      end

      def last_of_piece?(placement) = @planned.reverse.find { |other| other.pass.piece.equal?(placement.pass.piece) }.equal?(placement)

      def same_piece(placement)
        after = @planned.drop(@planned.index(placement) + 1).find { |other| other.pass.piece.equal?(placement.pass.piece) }
        after ? [ @latest[after.pass.key] ] : []
      end
    end
  end
end
