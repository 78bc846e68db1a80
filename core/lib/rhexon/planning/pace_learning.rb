module Rhexon
  module Planning
    # What a shop's log teaches of how fast its hands are: each work that was begun and done once, beside the minutes
    # it was reckoned with. The same kind of belief as for drying: ln of the factor is normal, m 0, s 0.35 at first, and
    # one work says it to 0.25.
    module PaceLearning
      # Times that are further off were begun in the log at another moment than at the bench. An estimate.
      BELIEVED = (0.1..10.0)
      # A share of the reckoned work is left where gear alone takes longer than it all did. An
      # estimate.
      LEAST_SHARE = 0.25

      # @!attribute work   [String] "coat/spray"
      # @!attribute person [String, nil]
      # @!attribute x      [Float] ln of what it took over what is reckoned, gear apart
      # @!attribute m2_min [Float] minutes that a square metre took, gear apart
      # @!attribute at     [Integer] minute it was done
      Observation = Struct.new(:work, :person, :x, :m2_min, :at, keyword_init: true)

      module_function

      # @param shop [Shop] whose log is read; its own pace is left aside
      # @param logged [Array<Placement>] what the log has fixed
      # @return [Array<Observation>] in the order they were done
      def observations(shop, logged = ActualWork.of(shop).all)
        done = logged.select { |one| one.status == "done" }
        done.filter_map { |placement| observation(shop, placement) }.sort_by { |one| [ one.at, one.work ] }
      end

      # @param observations [Array<Observation>]
      # @return [Array<Hash>] "pace" of rhexon-shop/1: of all hands, and of each
      def taught(observations)
        beliefs = observations.each_with_object({}) do |one, known|
          [ nil, *one.person ].each do |person|
            key = [ one.work, person ]
            known[key] = (known[key] || first).exactly(one.x)
          end
        end
        beliefs.map do |(work, person), belief|
          { "work" => work, "person" => person, "m" => belief.m, "s" => belief.s, "times" => belief.coats }
        end
      end

      def observation(shop, placement)
        pass = placement.pass
        return if pass.inserted # scuffs and wiping off belong to the step they are put in for
        share = share(shop, placement) if pass.sections.nil? && pass.work_min.positive?
        return unless share && BELIEVED.cover?(share)

        Observation.new(work: Pace.work(pass.kind, pass.method), person: placement.person, x: Math.log(share),
                        m2_min: share * reckoned(shop, pass) / (pass.area_m2 * pass.count),
                        at: placement.hands_end).freeze
      end

      # What it took of what is reckoned: the log begins with the gear and ends when the last is laid on.
      # @return [Float, nil] nil where only the end was logged
      def share(shop, placement)
        fact = shop.facts[placement.pass.key]
        return if fact.nil? || fact.started_at == fact.done_at

        took = placement.hands.sum { |from, to| to - from } - (fact.stroke_at ? 0 : placement.pass.setup_min)
        [ took / reckoned(shop, placement.pass), LEAST_SHARE ].max
      end

      # @return [Float] minutes, gear and the shop's own pace apart
      def reckoned(shop, pass) = pass.work_min / shop.pace.factor(pass.kind, pass.method)

      def first = Drying::Belief.new(0.0, Drying::Belief::FIRST_SD, 0)
      private_class_method :observation, :share, :reckoned, :first
    end
  end
end
