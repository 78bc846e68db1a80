module Rhexon
  module Planning
    # What the log has fixed: passes that are done or in hand, with their real times.
    class ActualWork
      DAY = 1440

      # @!attribute placed [Array<Placement, nil>] by index of the pass
      # @!attribute scuffs [Hash{String=>Placement}] the last one by key of the coat they serve
      # @!attribute scuffed [Array<Placement>] all of them
      # @!attribute ends   [Array<Integer>] minute from which each piece is free
      attr_reader :placed, :scuffs, :scuffed, :ends

      # @param shop [Shop]
      # @return [ActualWork] of its log, without a plan
      def self.of(shop) = new(shop, Expansion.queues(shop), MilestoneCalculator.new(shop))

      # @param shop [Shop]
      # @param queues [Hash{String=>Array<Pass>}]
      # @param drier [MilestoneCalculator]
      def initialize(shop, queues, drier)
        @shop = shop
        @drier = drier
        @placed = Array.new(queues.values.sum(&:size))
        @scuffs = {}
        @scuffed = []
        @windows = Windows.new(shop, drier, @placed, @scuffs)
        queues.each_value { |passes| fix_all(passes) }
        @ends = queues.map { |id, passes| ends_of(id, passes) }
      end

      # @param name [Symbol] of a Placement's minutes
      # @return [Array<Integer, nil>] by index of the pass
      def column(name)
        (@columns ||= {})[name] ||= @placed.map { |placement|
          if placement
            placement[name] ||
              0
          else
            (name == :earlier ? 0 : nil)
          end
        }.freeze
      end

      # @return [Array<Placement>]
      def all = @placed.compact + @scuffed

      # @return [Integer] which turn the next scuff before a coat is
      def next_scuff(coat) = scuffed.count { |placement| Scuff.served(placement.pass) == coat } + 1

      # Takes from a build what is not free any more: hands and tool of work in hand, air that is dusty, rooms and
      # racks with wet films.
      # @param trial [Search::PartialSchedule]
      # @param model [Search::Model]
      def occupy(trial, model)
        in_hand.each { |lane, from, till| trial.lanes[lane]&.take(from, till) }
        air = ->(room) { trial.rooms[model.places.room_number(room)] }
        dusty.each { |room, from, till| air.(room).dusty.add(from, till) }
        wet.each { |room, from, till| air.(room).wet.add(from, till) }
        lying.each { |room, *place| lay(trial, model, air.(room).rack, place) }
      end

      private

      def lay(trial, model, rack, place)
        rack&.put(*place)
        trial.lying[model.piece_of[place.last]] << [ place.last, model.passes[place.last].range.to_a ]
      end

      def fix_all(passes)
        passes.each_with_index do |pass, at|
          outwaited(pass, passes.drop(at + 1)) unless pass.work.hands?
          fix_scuffs(pass)
          fact = @shop.facts[pass.key]
          fix(pass, fact) if fact&.started_at
        end
      end

      def fix_scuffs(pass)
        turn = 1
        while (fact = @shop.facts[Scuff.key(pass.key, turn)])&.started_at
          fix(Scuff.before(pass, @shop, turn), fact)
          turn += 1
        end
      end

      def ends_of(id, passes)
        done = passes.filter_map do |pass|
          [ @placed[pass.index]&.hands_end, @scuffs[pass.key]&.hands_end ].compact.max
        end
        [ @shop.pieces.find { |piece| piece.id == id }.release, *done ].compact.max || @shop.now
      end

      # A wait is over at the latest when work after it has begun.
      def outwaited(pass, later)
        begun = later.filter_map { |other| @shop.facts[other.key]&.started_at }.min or return
        before = @placed.compact.select { |other| other.pass.piece.equal?(pass.piece) }.map(&:hands_end).max ||
          pass.piece.release || begun
        waits = waits(pass)
        finish = [
          [ before, waits.filter_map(&:reached_at).max, pass.minutes && before + pass.minutes ].compact.max, begun
        ].min
        start = [ before, finish ].min
        settle(
          Placement.new(pass: pass, hands: [], hands_start: start, work_start: start, first_end: finish,
                        work_end: finish, hands_end: finish, waits: waits, because: "log", status: "done")
        )
      end

      def fix(pass, fact)
        finish = fact.done_at || [ @shop.now, fact.started_at + hands_left(pass, fact) ].max
        begun = work_start(pass, fact, finish)
        first, last = laid(pass, fact, begun, done(pass, fact))
        placement = Placement.new(pass: pass, hands: [ [ fact.started_at, finish ] ],
                                  person: fact.person || someone(pass), hands_start: fact.started_at,
                                  work_start: begun, first_end: first, work_end: last, hands_end: finish,
                                  waits: waits(pass), because: "log", status: fact.done_at ? "done" : "running",
                                  looks: fact.looks)
        settle(placement)
      end

      # The log says when the last is applied; until then it is as planned, and tools are cleaned after it.
      def done(pass, fact)
        fact.done_at || [ @shop.now, fact.started_at + hands_left(pass, fact) - pass.cleanup_min ].max
      end

      # Setting up comes first, unless the start was noted at the first stroke.
      def work_start(pass, fact, finish)
        fact.stroke_at || [ fact.started_at + pass.setup_min, fact.ticks.values.min, finish ].compact.min
      end

      # Minutes of the whole pass from its start: as reckoned, or as fast as the pieces that are ticked went.
      def hands_left(pass, fact)
        return pass.hands_min if fact.ticks.empty?

        (fact.ticks.values.max - fact.started_at) * pass.count / fact.ticks.size + pass.cleanup_min
      end

      # When the first of the alike pieces was finished, from which its film closes, and the last, from which all open:
      # as they were ticked, else as if each took the same.
      # @param finish [Integer] minute at which all of them are
      def laid(pass, fact, begun, finish)
        ticks = fact.ticks.values
        first = ticks.min || begun + ((finish - begun) / pass.count.to_f).ceil
        [ [ first, finish ].min, fact.ticks.size == pass.count ? [ ticks.max, finish ].min : finish ]
      end

      # Older entries do not say who; work that is somebody's own, or asks for training, tells.
      def someone(pass) = (@shop.hands_for(pass.skill, pass.piece.by).first || @shop.people.first).id

      def settle(placement)
        pass = placement.pass
        placement.earlier = Placement.earlier(pass, placement.work_start, @placed)
        if pass.dries_by_sheet?
          placement.milestones = @drier.milestones(pass, placement.earlier, placement.work_end)
        end
        @windows.meet(placement) if pass.film?
        return @placed[pass.index] = placement unless pass.kind == "scuff"

        @scuffs[Scuff.served(pass)] = placement
        @scuffed << placement
      end

      def waits(pass)
        pass.needs.filter_map do |need|
          @placed[need.pass] && @drier.reached(@placed[need.pass], need.milestone, need.pair)
        end
      end

      def in_hand
        @in_hand ||= all.select { |placement| placement.status == "running" && placement.hands_end > @shop.now }
                        .filter_map do |placement|
                          (lane = @shop.people.index { |person| person.id == placement.person }) &&
                            [ lane, @shop.now, placement.hands_end ]
                        end
      end

      def dusty
        @dusty ||= all.select { |placement| placement.pass.dust && placement.hands_end > @shop.now - DAY }
                      .map do |placement|
                        [
                          placement.pass.room, placement.work_start,
                          placement.hands_end + placement.pass.piece.house.fetch("dust_settles_min")
                        ]
                      end
      end

      def wet
        @wet ||= films.filter_map do |placement|
          if (till = @drier.reached_at(placement, "dust_safe")) && till > @shop.now
            [ placement.pass.dry_room, placement.work_start, till ]
          else
            nil
          end
        end
      end

      def lying
        @lying ||= films.filter_map do |placement|
          till = @drier.reached_at(placement, "handle")
          if till && till > @shop.now && !moved_on?(placement)
            [ placement.pass.dry_room, placement.work_start, till, placement.pass.count, placement.pass.index ]
          end
        end
      end

      def films = @placed.compact.select { |placement| placement.pass.leaves_something? }

      def moved_on?(placement)
        @placed.compact.any? do |other|
          other.pass.piece.equal?(placement.pass.piece) && other.hands.any? &&
            other.hands_start >= placement.hands_end && (other.pass.range.to_a & placement.pass.range.to_a).any?
        end
      end
    end
  end
end
