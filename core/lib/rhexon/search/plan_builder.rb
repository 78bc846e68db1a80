module Rhexon
  module Search
    # A finished build as placements: what it waited for, its windows, its people.
    class PlanBuilder
      # @param model [Model]
      # @param trial [PartialSchedule]
      # @return [Planning::Build]
      def self.for(model, trial) = new(model, trial).build

      def initialize(model, trial)
        @model = model
        @partial = trial
        @placed = model.logged.placed.dup
        @scuffs = model.logged.scuffs.dup
        @again = []
        @windows = Planning::Windows.new(model.shop, model.drier, @placed, @scuffs)
      end

      def build
        @model.passes.each_index do |index|
          unfold(index) if @partial.start[index] && @placed[index].nil? && @partial.hands_end[index]
        end
        all = @placed.compact + @model.logged.scuffed + @again
        Planning::Build.new(
          placements: all.sort_by { |placement|
            [ placement.hands_start, placement.hands_end, placement.pass.index || 0 ]
          },
          by_index: @placed, ready: @model.queues.keys.zip(@partial.ready).to_h,
          lapsed: @partial.lapsed.map { |index| @model.passes[index].key }, blocked: blocked, goal: @partial.goal,
          late_min: @model.goal.late(@partial)
        )
      end

      private

      def blocked
        @partial.blocked.sort_by { |block| block[:index] }.to_h do |block|
          [
            @model.passes[block[:index]].piece.id,
            Planning::Block.new(block[:constraint], @model.passes[block[:index]].key)
          ]
        end
      end

      def unfold(index)
        pass = @model.passes[index]
        scuff(index, pass) if @partial.scuff[index]
        placement = Planning::Placement.new(
          pass: pass, hands: hands(index), person: person(@partial.who[index]),
          tool: @partial.tool[index] && @model.shop.tools[@partial.tool[index]]["id"], **minutes(index),
          earlier: @partial.early[index], waits: -> { waits(pass) }, because: because(index), status: status(index)
        )
        if pass.dries_by_sheet?
          placement.milestones = @model.drier.milestones(pass, placement.earlier, placement.work_end)
        end
        @windows.meet(placement) if pass.film?
        @placed[index] = placement
      end

      def minutes(index)
        { hands_start: @partial.start[index], work_start: @partial.work_start[index],
          first_end: @partial.first_end[index], work_end: @partial.work_end[index],
          hands_end: @partial.hands_end[index] }
      end

      # Nobody is there, or hands are on something else.
      def because(index)
        return @partial.why[index].to_s unless @partial.why[index] == :late

        at = Planning::Calendar.ceil(@partial.asked[index])
        length = @model.times.pauses[index] ? @model.times.each_min[index] : @model.times.hands[index]
        there = @model.crews.crew[index].any? do |person|
          (shut = @model.hours[person].shut_after(at)) && at + length <= shut
        end
        there ? "hands" : "hours"
      end

      def scuff(index, pass)
        start, finish, who, faces = @partial.scuff[index]
        again = Planning::Scuff.before(pass, @model.shop, @model.logged.next_scuff(pass.key), faces)
        @scuffs[pass.key] = Planning::Placement
          .new(
            pass: again, hands: [ [ start, finish ] ], person: person(who), hands_start: start, work_start: start,
            first_end: start + again.each_min, work_end: finish, hands_end: finish, earlier: 0, waits: [],
            because: "milestone", status: "planned"
          )
          .tap { |placement| @again << placement }
      end

      def hands(index)
        return [] if @model.kind[index] == :wait

        @partial.stretches[index] || [ [ @partial.start[index], @partial.hands_end[index] ] ]
      end

      def status(index)
        return "planned" unless @model.kind[index] == :wait

        now = @model.shop.now
        if @partial.hands_end[index] <= now
          "done"
        else
          (@partial.start[index] < now ? "running" : "planned")
        end
      end

      def person(who) = who && @model.people[who].id

      def waits(pass)
        pass.needs.filter_map do |need|
          @placed[need.pass] && @model.drier.reached(@placed[need.pass], need.milestone, need.pair)
        end
      end
    end
  end
end
