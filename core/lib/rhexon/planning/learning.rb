module Rhexon
  module Planning
    # What a shop's log teaches of its drying factors: all looks at one coat and one milestone make one interval,
    # counted once it was dry.
    class Learning
      # @!attribute phase    [String] early or hard
      # @!attribute from, to [Float, nil] ln of the reference minutes that had passed over those the sheet asks for,
      #   at the last "not yet" and the first "dry"
      # @!attribute exact    [Boolean] the user said "just now"
      # @!attribute at       [Integer] minute it was logged
      # @!attribute after    [Integer] minutes from laying to that look
      Observation = Struct.new(:product, :mechanism, :phase, :from, :to, :exact, :at, :after, keyword_init: true)

      # @param shop [Planning::Shop] whose log is read; nothing is planned
      # @param logged [Array<Placement>] what the log has fixed
      # @return [Array<Observation>] in the order they were logged
      def self.observations(shop, logged = ActualWork.of(shop).all)
        drier = MilestoneCalculator.new(shop)
        looked = logged.select { |placement| placement.looks&.any? && placement.milestones }
        looked
          .flat_map { |placement|
            film_looks(placement).group_by(&:first).filter_map { |name, looks|
              observation(drier, shop, placement, name, looks)
            }
          }
          .sort_by { |observation| [ observation.at, observation.product, observation.phase ] }
      end

      # A drop on glass is thicker than the film and soaks in nowhere: it says nothing of how fast the film was.
      def self.film_looks(placement) = placement.looks.reject { |_, _, _, _, by| by == "glass" }
      private_class_method :film_looks

      def self.observation(drier, shop, placement, name, looks)
        dry = looks.find { |_, answer, _| answer == "dry" } or return
        milestone = placement.milestones[drier.known(placement.pass, name)] or return
        before = looks.select { |_, answer, minute| answer == "not_yet" && minute <= dry[2] }.last
        Observation
          .new(product: placement.pass.product.id, mechanism: placement.pass.product.mechanism, phase: milestone.phase,
               from: before && passed(shop, placement, milestone, before[2]),
               to: passed(shop, placement, milestone, dry[2]),
               exact: dry[3] == true, at: dry[2], after: dry[2] - placement.work_end).freeze
      end
      private_class_method :observation

      # ln of time passed over time needed without the shop's own factor; nil right after laying.
      def self.passed(shop, placement, milestone, minute)
        done = Drying::Rate.progress(placement.pass.product, milestone.phase, shop.line(placement.pass.dry_room))
          .between(placement.work_end, minute)
        done.positive? ? Math.log(done / (milestone.needed / milestone.own[:shop])) : nil
      end
      private_class_method :passed

      # @!attribute before, after [Drying::Belief]
      Lesson = Struct.new(:observation, :before, :after, keyword_init: true)

      # What each coat taught: it updates the belief of its product and group once; a product without a log begins at
      # half the mean of its mechanism.
      # @param observations [Array<Observation>]
      # @param noise [Float] standard deviation of what one coat says
      # @return [Array<Lesson>] in their order
      def self.lessons(observations, noise = Drying::Belief::LOOK_SD)
        known = {}
        observations.map do |observation|
          key = [ observation.product, observation.phase, observation.mechanism ]
          before = known[key] || first(known, observation)
          known[key] = updated(before, observation, noise)
          Lesson.new(observation: observation, before: before, after: known[key])
        end
      end

      # All that a log teaches. Once it says itself how much coats vary, one coat is believed by that and not by the
      # noise that is taken at first: else a shop whose coats hardly vary is told bands that are too wide.
      # @param observations [Array<Observation>]
      # @return [Array(Array<Lesson>, Array<Hash>, Float)] lessons, beliefs of rhexon-shop/1, and coat_sd
      def self.of(observations)
        sd = coat_sd(observations, taught(observations))
        noise = varies?(observations) ? sd : Drying::Belief::LOOK_SD
        lessons = lessons(observations, noise)
        [ lessons, beliefs(lessons), sd ]
      end

      # @param observations [Array<Observation>]
      # @param noise [Float] standard deviation of what one coat says
      # @return [Array<Hash>] beliefs of rhexon-shop/1, each with the look that moved it last
      def self.taught(observations, noise = Drying::Belief::LOOK_SD) = beliefs(lessons(observations, noise))

      def self.beliefs(lessons)
        last = lessons.to_h do |lesson|
          [ [ lesson.observation.product, lesson.observation.phase ], lesson ]
        end
        last.map do |(product, phase), lesson|
          belief, look = lesson.after, lesson.observation
          { "product" => product, "group" => phase, "m" => belief.m, "s" => belief.s, "coats" => belief.coats,
            "last" => { "after_min" => look.after, "exact" => look.exact, "alone" => look.from.nil? && !look.exact } }
        end
      end

      private_class_method :beliefs

      def self.updated(belief, look, noise)
        look.exact ? belief.exactly(look.to, noise) : belief.after(look.from, look.to, noise)
      end

      # Coats that were looked at more than once, or exactly, say how much they vary.
      def self.varies?(observations)
        observations.count { |one| one.exact || one.from } >= Reference.drying.belief.coats_seen
      end
      private_class_method :updated, :varies?

      # How much coats vary: from about eight on the log itself says it, as an inverse-gamma estimate whose prior has
      # the weight of eight coats.
      # Of a coat that was looked at twice only the interval is known; what lies in it is expected under the estimate
      # so far, until it stands.
      # @param observations [Array<Observation>]
      # @param beliefs [Array<Hash>] what they have taught
      # @return [Float] standard deviation of ln b from coat to coat
      def self.coat_sd(observations, beliefs)
        return Drying::Belief::COAT_SD unless varies?(observations)

        prior = Reference.drying.belief.coats_prior
        means = beliefs.to_h { |belief| [ belief.values_at("product", "group"), belief["m"] ] }
        spread = observations.map do |observation|
          [ observation, means.fetch([ observation.product, observation.phase ]) ]
        end
        (1..20).reduce(Drying::Belief::COAT_SD) do |sd, _|
          Math.sqrt(
            (prior * Drying::Belief::COAT_SD**2 + spread.sum { |observation, mean| square(observation, mean, sd) }) /
              (prior + spread.size)
          )
        end
      end

      # Expected square of what a coat differs by from its mean.
      def self.square(observation, mean, spread)
        return (observation.to - mean)**2 if observation.exact || observation.to.nil?

        ends = [ observation.from || -Float::INFINITY, observation.to ].map { |x| (x - mean) / spread }
        middle, variance = Statistics::Normal.cut(*ends)
        if middle
          spread**2 * (variance + middle**2)
        else
          (([ observation.from, observation.to ].compact.min_by { |x| (x - mean).abs }) - mean)**2
        end
      end
      private_class_method :square

      def self.first(known, observation)
        kin = known.select { |(_, phase, mechanism), _|
          phase == observation.phase &&
            mechanism == observation.mechanism
        }.values
        coats = kin.sum(&:coats)
        Drying::Belief.new(coats.zero? ? 0.0 : kin.sum { |belief|
          belief.m * belief.coats
        } / coats / 2, Drying::Belief::FIRST_SD, 0)
      end
      private_class_method :first
    end
  end
end
