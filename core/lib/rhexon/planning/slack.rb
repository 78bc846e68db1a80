module Rhexon
  module Planning
    # Earliest and latest start of each planned pass, order, people, rooms and tools fixed: a forward and a backward
    # pass.
    # Earliest: right after what it waits for and what piece, hands, room and tool do before. Latest: so that nothing
    # after it moves past its own latest, the piece is still ready when planned (or when due, if that is later), and
    # the window below it is still open.
    class Slack
      Range = Struct.new(:earliest, :latest, keyword_init: true)

      # @param plan [Plan]
      def initialize(plan)
        @plan = plan
        @shop = plan.shop
        @model = plan.model
        @planned = plan.placements.select { |placement| placement.status == "planned" }
        @before = {}.compare_by_identity
        @after = {}.compare_by_identity
        chains.each { |chain| chain.each_cons(2) { |one, other| link(one, other) } }
        @followers = followers
        @latest = {}
        @planned.reverse_each { |placement| @latest[placement.pass.key] = latest(placement) }
        @by_key = @planned.to_h { |placement| [ placement.pass.key, placement ] }
        @ranges = {}
      end

      # @param key [String] of a pass
      # @return [Range, nil] nil: it is not planned
      def [](key)
        placement = @by_key[key] or return
        @ranges[key] ||= Range.new(earliest: earliest(placement), latest: @latest.fetch(key)).freeze
      end

      # @return [Hash{String=>Range}] by pass key
      def to_h = @by_key.to_h { |key, _| [ key, self[key] ] }

      private

      # What serves one pass at a time, each in its order.
      def chains
        @planned.each_with_object(Hash.new { |hash, key|
          hash[key] = []
        }) { |placement, by_resource|
          resources(placement).each { |resource|
            by_resource[resource] << placement
          }
        }.values
      end

      def resources(placement)
        pass = placement.pass
        room = @shop.rooms.fetch(pass.room)
        [
          [ :piece, pass.piece.id ], ([ :person, placement.person ] if placement.person),
          ([ :tool, placement.tool ] if placement.tool), ([ :room, room.id ] if room.single? && placement.hands.any?)
        ].compact
      end

      def link(one, other)
        (@after[one] ||= []) << other
        (@before[other] ||= []) << one
      end

      def followers
        @planned.each_with_object({}) do |placement, by_pass|
          placement.pass.needs.each { |need| (by_pass[need.pass] ||= []) << [ placement, need ] }
        end
      end

      def fixed?(placement) = placement.hands.size != 1

      def hours(placement) = @model.hours[@model.people.index { |person| person.id == placement.person }]

      def earliest(placement)
        return placement.hands_start if fixed?(placement)

        ready = placement.waits.filter_map(&:reached_at).max
        ends = [ *@before[placement], *before_in_log(placement) ].map(&:hands_end)
        from = [
          @shop.now, placement.pass.piece.release, *ends, ready && ready - placement.pass.setup_min,
          clean_from(placement)
        ].compact.max
        start = Lane.new(hours(placement)).slot(from, length(placement)) || placement.hands_start
        [ start, placement.hands_start ].min
      end

      def length(placement) = placement.hands_end - placement.hands_start

      def before_in_log(placement)
        @plan.of_piece(placement.pass.piece.id).select { |other| other.status != "planned" }
      end

      def latest(placement)
        return placement.hands_start if fixed?(placement)

        limits = [
          *@after[placement]&.map { |other| @latest.fetch(other.pass.key) }, window_limit(placement),
          clean_until(placement), *waiting(placement), *tail(placement)
        ].compact
        return placement.hands_start if limits.empty?

        [
          hours(placement).latest_start(limits.min, length(placement)) || placement.hands_start, placement.hands_start
        ].max
      end

      # A later start of the work may not lose the window below, nor let a scuff grow old.
      def window_limit(placement)
        window = placement.window or return
        last = { "open" => window.closes_at, "scuffed" => scuff_valid_until(placement) }[window.state]
        last && last - placement.pass.setup_min + length(placement)
      end

      def scuff_valid_until(placement)
        ends = placement.pass.abraded_by.values.flatten.uniq.filter_map do |index|
          @plan.build.by_index[index]&.hands_end
        end
        own = @plan.build.scuffs_before(placement.pass.key).map(&:hands_end)
        [ *ends.select { |done| done <= placement.work_start }, *own ].max&.+(
          placement.pass.piece.house.fetch("scuff_valid_min")
        )
      end

      # What waits for it, back through the air of those hours.
      def waiting(placement)
        (@followers[placement.pass.index] || []).filter_map do |follower, need|
          opening = @plan.drier.opening(placement.pass, need.milestone, need.pair)
          opening&.latest_start_for(@latest.fetch(follower.pass.key) + follower.pass.setup_min, placement.earlier)
            &.+(placement.pass.cleanup_min)
        end
      end

      # Nothing later on this piece: it may move until the piece would be ready later than planned or due.
      def tail(placement)
        piece = placement.pass.piece
        return [] unless placement.pass.last_on_faces || last_of_piece?(placement)

        ready = @plan.build.ready[piece.id] or return []
        target = [ ready, piece.due && [ piece.due, @shop.horizon ].min ].compact.max
        opening = placement.milestones && @plan.drier.opening(placement.pass, piece.ready_at)
        [ opening ? (opening.latest_start_for(target, placement.earlier) || placement.work_end) +
          placement.pass.cleanup_min : target ]
      end

      def last_of_piece?(placement)
        (@last ||= @planned.to_h { |other|
          [ other.pass.piece.id, other ]
        })[placement.pass.piece.id].equal?(placement)
      end

      # Dust and wet films of others on both sides.
      def clean_from(placement)
        ends = others(placement)&.first or return
        last = ends.bsearch_index { |till, _| till > placement.work_start } || ends.size
        till = (last - 1).downto(0).find { |at| !ends[at].last.equal?(placement) }
        till && ends[till].first - placement.pass.setup_min
      end

      def clean_until(placement)
        starts = others(placement)&.last || []
        first = starts.bsearch_index { |from, _| from >= placement.work_start } or return
        at = (first...starts.size).find { |index| !starts[index].last.equal?(placement) } or return
        following = starts[at].first
        pass = placement.pass
        return following - pass.piece.house.fetch("dust_settles_min") if pass.dust

        @plan.drier.opening(pass, "dust_safe")&.latest_start_for(following, placement.earlier)&.+(pass.cleanup_min)
      end

      # Stretches that a pass has to keep clear of: of films in the room of dust, of dust in the room of a film.
      # @return [Array, nil] their ends and their starts, each in order and with its placement
      def others(placement)
        pass = placement.pass
        return unless pass.dust || pass.film?

        pass.dust ? in_order(:wet)[pass.room] : in_order(:dusty)[pass.dry_room]
      end

      def in_order(kind)
        (@in_order ||= {})[kind] ||= send(kind).group_by(&:first).transform_values do |spans|
          [ spans.map { |_, _, till, owner| [ till, owner ] }.sort_by(&:first),
            spans.map { |_, from, _, owner| [ from, owner ] }.sort_by(&:first) ]
        end
      end

      # @return [Array<Array>] room, from, till, placement
      def wet
        @plan.placements
          .select { |placement| placement.pass.film? }
          .filter_map do |placement|
            (safe = @plan.drier.reached_at(placement, "dust_safe")) &&
              [ placement.pass.dry_room, placement.work_start, safe, placement ]
          end
      end

      def dusty
        @plan.placements
          .select { |placement| placement.pass.dust }
          .map do |placement|
            [
              placement.pass.room, placement.work_start,
              placement.hands_end + placement.pass.piece.house.fetch("dust_settles_min"), placement
            ]
          end
      end
    end
  end
end
