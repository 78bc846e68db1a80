module Rhexon
  module Picture
    # What the morning has to know, and what the evening has to do: short, because it is reckoned.
    class DayEnds
      # @!attribute kind  [String] gear, hardener, touch_up, warm, stir, first, air, shuts, not_dry
      # @!attribute words [String] a sentence
      # @!attribute at    [Integer, nil] minute that it is about
      Item = Struct.new(:kind, :words, :at, keyword_init: true)

      CLEANED = { "water" => "water", "alcohol" => "spirit", "mineral_spirit" => "mineral spirit",
                  "lacquer_solvent" => "lacquer thinner" }.freeze
      # A pad rests in its jar, and rags have their own line.
      GEAR = { "spray" => "gun and cup", "brush" => "brush", "roller" => "roller" }.freeze
      # What opens so soon after hands are there is there at first light.
      FIRST_LIGHT_MIN = 60
      # So far ahead an opening is looked for, days.
      AHEAD = 21
      # So many are told of what is at first light.
      MOST = 6
      private_constant :CLEANED, :GEAR, :FIRST_LIGHT_MIN, :AHEAD, :MOST

      # @param plan [Planning::Plan]
      # @param names [Hash{String=>String}] piece id => name
      def initialize(plan, names)
        @plan = plan
        @names = names
        @bench = Bench.new(plan)
      end

      # @return [Integer, nil] minute at which the last hands leave today; nil: nobody is there today
      def closes = today_open.last&.last

      # @return [Integer, nil] minute at which hands are there again
      def opens = @plan.shop.open_between(day_end, day_end + AHEAD * 1440).first&.first

      # @return [Array<Item>]
      def evening = [ *gear, *hardeners, *touch_ups, *first_pots, *first_light ]

      # @return [Array<NightAir::Answer>]
      def nights = closes && opens ? NightAir.new(@plan, [ closes, @plan.shop.now ].max, opens).answers : []

      # @return [Array<Item>]
      def morning = [ *overnight, *shuts, *not_dry ]

      # @return [Hash{String=>Array<Row>}] person => what is planned for today
      def lists
        todays = @bench.today.select { |row| row.status != "done" }.sort_by { |row| [ row.hands_start, row.key ] }
        @plan.shop.people.to_h { |person| [ person.id, todays.select { |row| row.person == person.id } ] }
      end

      # What the plan puts in for a step.
      INSERTED = {
        "scuff" => "Scuff for", "wipe_off" => "Wipe off", "unmask" => "Take the tape off after",
        "remask" => "Tape on again after"
      }.freeze
      private_constant :INSERTED

      # @param placement [Planning::Placement]
      # @return [String] "Scuff for top coat, W20 clear satin"
      def label(placement)
        pass = placement.pass
        product = @plan.shop.products[pass.step["product"]]
        words = Schedule::Words.step(pass.step, product&.name)
        before = INSERTED[pass.kind]
        before ? "#{before} #{words.sub(/^./, &:downcase)}" : words
      end

      private

      def zone = @plan.shop.zone
      def now = @plan.shop.now
      def day_start = zone.at(zone.date(now), "00:00")
      def day_end = zone.at(zone.date(now) + 1, "00:00")
      def today_open = @plan.shop.open_between(day_start, day_end)

      # Laid on today, or in hand.
      def laid_today
        @laid_today ||= @plan.placements.select do |one|
          one.pass.leaves_something? && one.status != "planned" && one.hands_start.between?(day_start, now)
        end
      end

      def gear
        passes = laid_today.map(&:pass)
        used = passes.select { |pass| GEAR.key?(pass.method) }.group_by { |pass| [ pass.method, pass.product.carrier ] }
        cleaned = used.map do |(method, carrier), mine|
          with = CLEANED.fetch(carrier, "what its sheet names")
          names = mine.map { |pass| pass.product.name }.uniq.join(", ")
          item("gear", "Clean #{GEAR.fetch(method)} with #{with}: #{names}.")
        end
        rested = passes.any? { |one| one.method == "pad" } ? [ item("gear", "Put the pad into its closed jar.") ] : []
        cleaned + rested
      end

      def hardeners
        laid_today.flat_map { |one| hardeners_of(one.pass) }.uniq
          .map { |name| item("hardener", "Shut #{name} tight: damp spoils what is left in it.") }
      end

      def hardeners_of(pass)
        Mixing::ProductMix.recipe(pass.product, @plan.shop.products, pass.step).components
          .select { |part| part.role == "hardener" }.map(&:name)
      rescue InvalidInput
        [] # a mix that its product cannot give any more
      end

      # The last coat of a piece is on: what mends it later is kept now.
      def touch_ups
        laid_today.select { |one| one.pass.last_on_faces && last?(one) }.map do |one|
          apart = ", its parts unmixed," if hardeners_of(one.pass).any?
          item("touch_up",
               "Keep a jar of #{one.pass.product.name}#{apart} for #{name(one)}, with today's date and its lot.")
        end.uniq(&:words)
      end

      def last?(placement)
        @plan.of_piece(placement.pass.piece.id).none? { |one| one.pass.leaves_something? && one.status == "planned" }
      end

      def first_pots
        return [] unless closes && opens

        pots = FirstPots.new(@plan, closes, opens)
        pots.to_warm.map { |words| item("warm", words) } + pots.to_stir.map { |words| item("stir", words) }
      end

      def first_light
        return [] unless opens

        ready = @bench.drying.select do |slab|
          slab.next_row && slab.opens_at && slab.opens_at <= opens + FIRST_LIGHT_MIN
        end
        ready.first(MOST).map do |slab|
          since = slab.opens_at <= opens ? "at first light" : "from #{zone.label(slab.opens_at)}"
          work = words(slab.next_row.placement)
          item("first", "#{@names.fetch(slab.piece.id)}: #{work} can be done #{since}.", slab.opens_at)
        end
      end

      # How rooms fared since hands left.
      def overnight
        left = @plan.shop.open_between(day_start - AHEAD * 1440, day_start).last&.last or return []
        came = [ today_open.first&.first || now, now ].min
        @plan.shop.rooms.each_value.filter_map do |room|
          air = room.line.between(left, [ came, left + 1 ].max)
          low, high = air.map { |climate| climate.t_c }.minmax
          next if high - low < 1

          damp = air.map { |climate| climate.rh }.max
          span = format("%.1f to %.1f °C", low, high)
          item("air", "#{room.id}: #{span} over night, up to #{damp.round} % RH.")
        end
      end

      def shuts
        @bench.drying.select { |slab| slab.closes_at&.between?(now, day_end) && slab.next_row }.map do |slab|
          closes = slab.closes_at
          item("shuts", "#{@names.fetch(slab.piece.id)}: its window shuts at #{zone.label(closes)}.", closes)
        end
      end

      def not_dry
        @plan.placements.select { |one| one.looks&.any? && one.looks.last[1] == "not_yet" }.map do |one|
          looked = one.looks.last[2]
          item("not_dry", "#{name(one)}: #{words(one)} was not dry at #{zone.label(looked)}.", looked)
        end
      end

      def name(placement) = @names.fetch(placement.pass.piece.id)
      def words(placement) = label(placement).sub(/^./, &:downcase)
      def item(kind, words, at = nil) = Item.new(kind: kind, words: words, at: at)
    end
  end
end
