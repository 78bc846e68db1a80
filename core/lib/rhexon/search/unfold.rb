module Rhexon
  module Search
    # A finished build as placements: what it waited for, its windows, its people.
    class Unfold
      # @param model [Model]
      # @param trial [Trial]
      # @return [Planning::Build]
      def self.of(model, trial) = new(model, trial).build

      def initialize(model, trial)
        @m = model
        @t = trial
        @placed = model.logged.placed.dup
        @scuffs = model.logged.scuffs.dup
        @again = []
        @windows = Planning::Windows.new(model.shop, model.drier, @placed, @scuffs)
      end

      def build
        @m.passes.each_index { |index| unfold(index) if @t.start[index] && @placed[index].nil? && @t.hands_end[index] }
        all = @placed.compact + @m.logged.scuffed + @again
        Planning::Build.new(placements: all.sort_by { |placement| [ placement.hands_start, placement.hands_end, placement.pass.index || 0 ] }, by_index: @placed,
                            ready: @m.queues.keys.zip(@t.ready).to_h, lapsed: @t.lapsed.map { |index| @m.passes[index].key }, blocked: blocked, goal: @t.goal, late_min: @m.goal.late(@t))
      end

      private

      def blocked = @t.blocked.sort_by { |found| found[:index] }.to_h { |found| [ @m.passes[found[:index]].piece.id, Planning::Block.new(found[:constraint], @m.passes[found[:index]].key) ] }

      def unfold(index)
        pass = @m.passes[index]
        scuff(index, pass) if @t.scuff[index]
        placement = Planning::Placement.new(pass: pass, hands: hands(index), person: person(@t.who[index]), tool: @t.tool[index] && @m.shop.tools[@t.tool[index]]["id"], hands_start: @t.start[index],
                                            work_start: @t.work_start[index], first_end: @t.first_end[index], work_end: @t.work_end[index], hands_end: @t.hands_end[index], earlier: @t.early[index],
                                            waits: -> { waits(pass) }, because: because(index), status: status(index))
        placement.milestones = @m.drier.milestones(pass, placement.earlier, placement.work_end) if pass.leaves_something?
        @windows.meet(placement) if pass.film?
        @placed[index] = placement
      end

      # Nobody is there, or hands are on something else.
      def because(index)
        return @t.why[index].to_s unless @t.why[index] == :late

        at = Planning::Calendar.ceil(@t.asked[index])
        length = @m.pauses[index] ? @m.each_min[index] : @m.hands[index]
        @m.crew[index].any? { |person| (shut = @m.hours[person].shut_after(at)) && at + length <= shut } ? "hands" : "hours"
      end

      def scuff(index, pass)
        start, finish, who, faces = @t.scuff[index]
        again = Planning::Scuff.before(pass, @m.shop, @m.logged.next_scuff(pass.key), faces)
        @scuffs[pass.key] = Planning::Placement.new(pass: again, hands: [ [ start, finish ] ], person: person(who), hands_start: start, work_start: start,
                                                    first_end: start + again.each_min, work_end: finish, hands_end: finish, earlier: 0, waits: [], because: "milestone", status: "planned").tap { |placement| @again << placement }
      end

      def hands(index)
        return [] if @m.kind[index] == :wait

        @t.stretches[index] || [ [ @t.start[index], @t.hands_end[index] ] ]
      end

      def status(index)
        return "planned" unless @m.kind[index] == :wait

        now = @m.shop.now
        @t.hands_end[index] <= now ? "done" : (@t.start[index] < now ? "running" : "planned")
      end

      def person(who) = who && @m.people[who].id

      def waits(pass) = pass.needs.filter_map { |need| @placed[need.pass] && @m.drier.reached(@placed[need.pass], need.milestone, need.pair) }
    end
  end
end
