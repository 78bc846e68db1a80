require "digest"

module Rhexon
  module Planning
    # What a plan is made from, read and checked: the values behind rhexon-shop/1.
    class Shop
      HOUSE = {
        **Schools.defaults, "scuff_valid_min" => 1440, "dust_settles_min" => 30, "checks" => {}
      }.freeze

      READ = Cache.new(600, lately_used: true)
      STARTS = Cache.new(8, lately_used: true)
      private_constant :READ, :STARTS

      # Work that is put off must be in time on nine days of ten.
      SAFE = 0.9

      attr_reader :zone, :now, :goal, :share, :seed, :effort, :house, :people, :away, :rooms, :tools, :products,
                  :beliefs, :pace, :transfer, :abrasion, :pieces, :log, :pins, :previous, :stock, :consumables,
                  :scale_g, :surface

      # @param json [Hash] rhexon-shop/1 with string keys
      # @raise [InvalidInput] with the first thing that is wrong
      def initialize(json)
        Schema.check_changed!("rhexon-shop-1",
                              json["products"].is_a?(Array) ? json.merge("products" => []) : json)
        @json = json
        @zone = Zone.new(json["zone"])
        @now = Zone.minute(json["now"], where: "now")
        @goal = json["goal"] || "promises"
        @seed = json["seed"] || 1
        @effort = json["effort"] || "quick"
        @house = HOUSE.merge(json["house"] || {})
        @share = [ json["quantile"] || @house["plan_on"] / 100.0, *(SAFE if @goal == "late_as_safe") ].max
        read_people(json["people"])
        @rooms = json["rooms"].to_h { |record| [ record["id"], room(record) ] }
        @tools = json["tools"] || []
        @products = Mixing::OwnBlend.settled(shelf(json["products"]))
        @beliefs = Drying::Beliefs.new(json["beliefs"] || [], @products, @share, json["coat_sd"])
        @pace = Pace.new(json["pace"] || [])
        @transfer, @abrasion = %w[transfer abrasion].map { |name| OwnShare.new(json[name] || []) }
        @pieces = json["pieces"].map { |record| piece(record) }
        @log = ShopLog.new(
          (json["log"] || []).each.with_index { |entry, index| near(entry["at"], "log/#{index}/at") }
        )
        @pins = Pin.read(json["pins"] || [], self)
        @previous = starts(json["previous"] || [])
        @stock = json["stock"]&.map { |record| Stock::Batch.read(record) }
        @consumables = json["consumables"] || []
        @surface = Colour::Surface.usual(json["surface"] || {})
        @scale_g = json.dig("scale", "resolution_g") || 1
      end

      # @return [Boolean] the plan that it has is put right where it must be, instead of searching for another
      def kept? = @effort == "kept" && @previous.any?

      # The same shop where a better plan may be looked for.
      # @return [Shop]
      def searched = kept? ? with("effort" => "quick") : self

      # @return [Hash{String=>PassLog}] what the log says, by pass key
      def facts = log.facts

      # @param other [Shop]
      # @return [Boolean] whether a coat dries in it as in the other: the same sheets, air and beliefs
      def dries_like?(other)
        drying == other.drying && line_ids == other.line_ids && product_ids == other.product_ids
      end

      # @return [String] of all that was read
      def digest = @digest ||= Digest::SHA256.hexdigest(JSON.generate(@json))

      # The same shop with another schedule for one piece.
      # @return [Shop]
      def with_schedule(piece_id, document)
        with_piece(record_of(piece_id).merge("schedule" => document))
      end

      # @return [Hash, nil] a piece of rhexon-shop/1
      def record_of(piece_id) = @json["pieces"].find { |record| record["id"] == piece_id }

      # The same shop with another record for one of its pieces; all else stays as it was read.
      # @param record [Hash] a piece of rhexon-shop/1
      # @return [Shop]
      # @raise [InvalidInput]
      def with_piece(record)
        was = record_of(record["id"])
        unless was.except("schedule") == record.except("schedule")
          Schema.check_record!("pieces", record.merge("schedule" => {}))
        end
        dup.tap { |shop| shop.put(record) }
      end

      # The same shop with other air in some rooms.
      # @param air [Hash{String=>Hash}] room id => "climate" and "daily"
      # @return [Shop]
      def with_rooms(air)
        self.class.new(
          @json.merge("rooms" => @json["rooms"].map { |room|
            air.key?(room["id"]) ? room.except("climate", "daily").merge(air[room["id"]]) : room
          })
        )
      end

      # The same shop with other hours.
      # @yieldparam week [Hash{String=>Array}]
      # @yieldreturn [Hash{String=>Array}]
      # @return [Shop]
      def with_weeks
        self.class.new(
          @json.merge("people" => @json["people"].map { |person| person.merge("week" => yield(person["week"])) })
        )
      end

      # @return [Boolean] somebody's day has a break
      def breaks? = @json["people"].any? { |person| person["week"].any? { |_, spans| spans.size > 1 } }

      # The same shop with somebody who works whenever its first person does, and can do all of it.
      # @return [Shop]
      def with_second_hands
        first = @json["people"].first
        skills = @json["people"].flat_map { |person| person["skills"].to_a }.uniq
        more = first.except("own_pieces_only").merge("id" => "one more", **(skills.any? ? { "skills" => skills } : {}))
        with("people" => [ *@json["people"], more ])
      end

      # The same shop asked for something else.
      # @param fields [Hash{String=>Object}] of rhexon-shop/1
      # @return [Shop]
      def with(fields) = self.class.new(@json.merge(fields))

      # @return [Drying::ClimateTimeline] the air of a room
      def line(room) = rooms.fetch(room).line

      # What passes take from the shop beside their own piece.
      # @return [Array]
      def setting
        @setting ||= [
          rooms.each_value.map { |room| [ room.id, room.uses, room.rack_places ] }, tools,
          people.map { |person| [ person.id, person.skills, person.calendar.longest, person.own_pieces_only ] },
          products.each_value.map(&:object_id), @json["pace"], @json["transfer"], @json["abrasion"]
        ].then { |window| [ window.hash, window ].freeze }
      end

      # Which air, and from which day on.
      # @return [Array]
      def air_of_the_day = [ now / 1440, *rooms.each_value.map { |room| room.line.object_id } ]

      # @param use [String] sand, spray, finish or dry
      # @return [String, nil] id of the first room for it
      def room_for(use) = rooms.each_value.find { |room| room.uses.include?(use) }&.id

      # @return [Array<Person>] who may do work that asks for a skill, on a piece that may be somebody's own
      def hands_for(skill, by = nil) = people.select { |person| person.can?(skill) && person.works_for?(by) }

      # @return [Array<String>] ids of pieces of a class, which take what the shop's own pieces leave
      def class_pieces
        own = people.select(&:own_pieces_only).map(&:id)
        pieces.select { |piece| own.include?(piece.by) }.map(&:id)
      end

      # The same shop without some of its pieces.
      # @param ids [Array<String>]
      # @return [Shop]
      def without(ids)
        gone = ->(key) { ids.include?(key.split("/").first) }
        with("pieces" => @json["pieces"].reject { |record| ids.include?(record["id"]) },
             "pins" => (@json["pins"] || []).reject { |pin| gone.(pin["pass"]) },
             "log" => (@json["log"] || []).reject { |entry| gone.(entry["pass"].to_s) })
      end

      # What there is to rub with: papers that wear by their grit, and whatever is rubbed with by name; the usual papers
      # where the shop lists none.
      # @return [Array<Prep::Abrasive>]
      def abrasives
        @abrasives ||= begin
          grits = consumables.flat_map { |record| record["wear"].to_a.flat_map { |wear| wear["grits"].to_a } }.uniq
          grits = Reference.abrasives.usual if grits.empty?
          [ *grits, *Prep::Abrasive::RUBBING ].map { |grit| Prep::Abrasive.near(grit) }.uniq(&:to_s)
        end
      end

      # The same, less what the house of a piece does not rub film with.
      # @return [Array<Prep::Abrasive>]
      def rubs(piece)
        piece.house["pads"] == "synthetic" ? abrasives.reject { |one| one.is == "wool" } : abrasives
      end

      # @return [Boolean] a gun stands in it, or a room to spray in
      def sprays?
        tools.any? { |tool| tool["for"] == "spray" } || rooms.each_value.any? { |room| room.uses.include?("spray") }
      end

      # @param methods [Array<String>]
      # @return [Array<String>] those that this shop can offer
      def usable(methods) = sprays? ? methods : methods - [ "spray" ]

      # When anybody is there.
      # @return [Array<Array(Integer, Integer)>] open intervals that end after +from+ and start before +to+, joined
      def open_between(from, to) = Calendar.joined(people.flat_map { |person| person.calendar.between(from, to) })

      # Short, since it holds all records.
      def inspect = "#<#{self.class} #{digest.first(12)}>"

      # @return [Integer, nil] minute
      # @raise [InvalidInput] when it is years away: tables of air and hours reach as far as what is asked of them
      def near(text, where)
        text && Zone.minute(text, where: where).tap { |minute| Zone.near!(minute, now, where) }
      end

      def horizon = now + Reference.hands.horizon_days * 1440

      protected

      def drying = [ share, *@json.values_at("beliefs", "coat_sd"), now / 1440 ]
      def line_ids = rooms.transform_values { |room| room.line.object_id }
      def product_ids = products.transform_values(&:object_id)

      def put(record)
        at = pieces.index { |piece| piece.id == record["id"] }
        @pieces = pieces.dup.tap { |all| all[at] = piece(record) }
        @json = @json.merge("pieces" => @json["pieces"].dup.tap { |all| all[at] = record })
        @pins = Pin.read(@json["pins"] || [], self)
        @digest = nil
      end

      private

      def read_people(records)
        gone, here = records.partition { |record| record["away"] }
        Rhexon.refuse_unless(
          here.any?, "Nobody works at the bench", where: "people", accepted: "at least one person who is not away"
        )
        @people = here.map { |record| person(record) }
        @away = gone.map { |record| record["id"] }
      end

      def person(record)
        calendar = Calendar.read(week: record["week"], except: record["except"], zone: @zone, from: @now,
                                 days: Reference.hands.horizon_days)
        Person.new(id: record["id"], skills: record["skills"], calendar: calendar,
                   own_pieces_only: record["own_pieces_only"] || false).freeze
      end

      def room(record)
        Room.new(id: record["id"], line: Drying::ClimateTimeline.read(record, @zone), uses: record["uses"] || [],
                 rack_places: record["rack_places"]).freeze
      rescue InvalidInput => refusal
        raise InvalidInput.new(refusal.message, where: "rooms/#{record["id"]}/#{refusal.where}")
      end

      def shelf(records) = records.each_with_index.to_h { |record, index| product(record, index) }

      def product(record, index)
        product = Materials::Product.read(record)
        [ product.id, product ]
      rescue InvalidInput => refusal
        raise refusal if refusal.where.start_with?("products/")

        raise InvalidInput.new(refusal.message,
                               where: [ "products", index, refusal.where ].reject { |part| part == "" }.join("/"))
      end

      # @return [Hash{String=>Start}] by pass key; a list that cannot change is read once
      def starts(records)
        read = -> { records.to_h { |record| [ record["pass"], Start.read(record, self) ] } }
        records.frozen? ? STARTS.fetch([ records.object_id, now / 1440 ], &read) : read.call
      end

      # A record that cannot change is read once, as long as its log and what it may name are the same.
      def piece(record)
        log = log_of(record["id"])
        return PieceReader.new(self, log).read(record) unless record.frozen?

        READ.fetch([ record.object_id, log.map(&:object_id), nameable ]) { PieceReader.new(self, log).read(record) }
      end

      # What a piece may name, and the shop's ways.
      def nameable
        @nameable ||= [ product_ids, rooms.keys, tools, people.map(&:id), away, house ]
          .then { |all| [ all.hash, all ].freeze }
      end

      # @return [Array<Hash>] entries of "log" about a piece
      def log_of(id)
        @entries ||= (@json["log"] || []).group_by { |entry| entry["pass"].to_s.split("/", 2).first }
        @entries.fetch(id, [])
      end
    end
  end
end
