require "digest"

module Rhexon
  module Planning
    # What a plan is made from, read and checked: the values behind rhexon-shop/1.
    class Shop
      HOUSE = {
        **Schools.defaults, "scuff_valid_min" => 1440, "dust_settles_min" => 30, "checks" => {}
      }.freeze

      # Work that is put off must be in time on nine days of ten.
      SAFE = 0.9

      attr_reader :zone, :now, :goal, :share, :seed, :effort, :house, :people, :away, :rooms, :tools, :products,
                  :beliefs, :pace, :pieces, :facts, :pins, :previous, :stock, :consumables, :scale_g, :surface

      # @param json [Hash] rhexon-shop/1 with string keys
      # @raise [InvalidInput] with the first thing that is wrong
      def initialize(json)
        Schema.check_changed!("rhexon-shop-1",
                              json["products"].is_a?(Array) ? json.merge("products" => []) : json)
        @json = json
        @zone = Zone.new(json["zone"])
        @now = Zone.minute(json["now"], where: "now")
        @goal = json["goal"] || "soonest"
        @seed = json["seed"] || 1
        @effort = json["effort"] || "quick"
        @house = HOUSE.merge(json["house"] || {})
        @share = [ json["quantile"] || @house["plan_on"] / 100.0, *(SAFE if @goal == "late_as_safe") ].max
        read_people(json["people"])
        @rooms = json["rooms"].to_h { |record| [ record["id"], room(record) ] }
        @tools = json["tools"] || []
        @products = json["products"].each_with_index.to_h { |record, index| product(record, index) }
        @beliefs = Drying::Beliefs.new(json["beliefs"] || [], @products, @share, json["coat_sd"])
        @pace = Pace.new(json["pace"] || [])
        @pieces = json["pieces"].map { |record| piece(record) }
        @facts = PassLog.fold(
          (json["log"] || []).each.with_index { |entry, index| near(entry["at"], "log/#{index}/at") }
        )
        @pins = Pin.read(json["pins"] || [], self)
        @previous = (json["previous"] || []).to_h do |record|
          [ record["pass"], Start.new(near(record["start"], "previous"), record["person"]) ]
        end
        @stock = json["stock"]&.map { |record| Stock::Batch.read(record) }
        @consumables = json["consumables"] || []
        @surface = Colour::Surface.usual(json["surface"] || {})
        @scale_g = json.dig("scale", "resolution_g") || 1
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
          people.map { |person| [ person.id, person.skills, person.calendar.longest ] },
          products.each_value.map(&:object_id), @json["pace"]
        ].then { |window| [ window.hash, window ].freeze }
      end

      # Which air, and from which day on.
      # @return [Array]
      def air_of_the_day = [ now / 1440, *rooms.each_value.map { |room| room.line.object_id } ]

      # @param use [String] sand, spray, finish or dry
      # @return [String, nil] id of the first room for it
      def room_for(use) = rooms.each_value.find { |room| room.uses.include?(use) }&.id

      # @return [Array<Person>] who may do work that asks for a skill, on a piece that may be somebody's own
      def hands_for(skill, by = nil) = people.select { |person| person.can?(skill) && (by.nil? || person.id == by) }

      # Parts of alike pieces that the log knows: their own pieces, or (from before keys named them) only their number.
      # @return [Hash{String=>Hash{String=>Range, nil}}] by key of the whole pass: name of the part => pieces
      def parts_of(piece)
        (@parts ||= facts.each_key.each_with_object({}) { |key, parts| part_of(key, parts) }).fetch(piece.id, {})
      end

      # What there is to rub with: papers that wear by their grit, and whatever is rubbed with by name; all papers where
      # the shop lists none.
      # @return [Array<Prep::Abrasive>]
      def abrasives
        @abrasives ||= begin
          grits = consumables.flat_map { |record| record["wear"].to_a.flat_map { |wear| wear["grits"].to_a } }.uniq
          papers = grits.empty? ? Prep::Abrasive.all("P") : grits.map { |grit| Prep::Abrasive.near(grit) }
          (papers + Prep::Abrasive::RUBBING.map { |name| Prep::Abrasive.read(name) }).uniq(&:to_s)
        end
      end

      # The same, less what the house of a piece does not rub film with.
      # @return [Array<Prep::Abrasive>]
      def rubs(piece)
        piece.house["pads"] == "synthetic" ? abrasives.reject { |one| one.is == "wool" } : abrasives
      end

      # What looks at a piece were answered.
      # @return [Hash{String=>String}] by pass key: yes or again
      def answers_of(piece)
        (@answers ||= facts.select { |_, fact| fact.answer }.transform_values(&:answer)
          .group_by { |key, _| key[%r{\A[^/]+}] }.transform_values(&:to_h)).fetch(piece.id, {})
      end

      # When anybody is there.
      # @return [Array<Array(Integer, Integer)>] open intervals that end after +from+ and start before +to+, joined
      def open_between(from, to) = Calendar.joined(people.flat_map { |person| person.calendar.between(from, to) })

      # Short, since it holds all records.
      def inspect = "#<#{self.class} #{digest.first(12)}>"

      def horizon = now + Reference.hands.horizon_days * 1440

      protected

      def put(record)
        at = pieces.index { |piece| piece.id == record["id"] }
        @pieces = pieces.dup.tap { |all| all[at] = piece(record) }
        @json = @json.merge("pieces" => @json["pieces"].dup.tap { |all| all[at] = record })
        @pins = Pin.read(@json["pins"] || [], self)
        @digest = nil
      end

      private

      def part_of(key, parts)
        match = PART.match(key) or return
        (parts[match[:piece]] ||= {}).then do |mine|
          mine[match[:base]] ||= {}
        end[match[:part]] = match[:from] && (match[:from].to_i - 1..match[:till].to_i - 1)
      end

      PART = %r{\A(?<base>(?<piece>[^/]+)/[^/]+/\d+/[^/]+)/(?<part>pieces(?<from>\d+)-(?<till>\d+)|part\d+)(?:/|\z)}
      private_constant :PART

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
        Person.new(id: record["id"], skills: record["skills"], calendar: calendar).freeze
      end

      def room(record)
        Room.new(id: record["id"], line: Drying::ClimateTimeline.read(record, @zone), uses: record["uses"] || [],
                 rack_places: record["rack_places"]).freeze
      rescue InvalidInput => refusal
        raise InvalidInput.new(refusal.message, where: "rooms/#{record["id"]}/#{refusal.where}")
      end

      def product(record, index)
        product = Materials::Product.read(record)
        [ product.id, product ]
      rescue InvalidInput => refusal
        raise refusal if refusal.where.start_with?("products/")

        raise InvalidInput.new(refusal.message,
                               where: [ "products", index, refusal.where ].reject { |part| part == "" }.join("/"))
      end

      def piece(record)
        most = Reference.hands.most_faces
        Rhexon.refuse_unless(record["faces"].size <= most, "A piece of #{record["faces"].size} faces is too many",
                             where: "faces", accepted: "up to #{most}; write it as several pieces")
        faces = Work::Told.faces(record, @json["log"] || [])
        document = Schedule::Document.check!(
          record["schedule"].empty? ? Schedule::Document.empty : record["schedule"], fillers: fillers
        )
        document = Faults::Log.mended(document, record["id"], @json["log"] || [], products)
        Schedule::Document.check_names!(document, faces: faces.keys, products: products, rooms: rooms.keys,
                                                  tools: tools.map { |tool| tool["id"] },
                                                  people: people.map(&:id) + away)
        refuse_stranger(record)
        refuse_unknown_coat(record)
        Piece.same(Piece
          .new(id: record["id"], count: record["count"] || 1, faces: faces, schedule: document,
               release: near(record["release"], "release"), due: near(record["due"], "due"),
               job: record["job"] || record["id"], by: record["by"],
               ready_at: record["ready_at"] ||
                 "handle", use: record["use"], arris: record["arris"], house: house_of(document),
               named_wood: record["wood"], wood_like: kind_of_wood(record), wood_facts: record["wood_facts"] ||
                      {}, place_air: record["place_air"],
               sketch: record["sketch"] && Areas::Floor.check!(record["sketch"]), wanted: record["wanted"] ||
                      {}, boards: record["boards"], look_approved: record["look_approved"] || false).freeze)
      rescue InvalidInput => refusal
        raise InvalidInput.new(refusal.message, where: "pieces/#{record["id"]}/#{refusal.where}")
      end

      def kind_of_wood(record)
        like = record["wood_like"] or return
        Rhexon.refuse_unless(
          Colour::Wood.species.include?(like), "The nearest kind of wood is one that has colour figures",
          where: "wood_like", accepted: Colour::Wood.species.join(", ")
        )
        like
      end

      # The shop's ways, and what the schedule says otherwise; checks are judged otherwise one by one.
      def house_of(document)
        own = document["house"] or return house
        house.merge(own, "checks" => house["checks"].merge(own["checks"] || {}))
      end

      def fillers = products.each_value.select(&:filler?).map(&:id)

      # @return [Integer, nil] minute
      # @raise [InvalidInput] when it is years away: tables of air and hours reach as far as what is asked of them
      def near(text, where)
        text && Zone.minute(text, where: where).tap { |minute| Zone.near!(minute, now, where) }
      end

      # What is said to be on a face is on the shelf's list.
      def refuse_unknown_coat(record)
        record["faces"].each do |face|
          named = face.dig("found", "product") or next
          Rhexon.refuse_unless(products[named]&.film?, "#{face["id"]} has a coat that is not known: #{named}",
                               where: "faces", accepted: "a product that leaves a film, or none")
        end
      end

      # A piece's own hands are in the shop.
      def refuse_stranger(record)
        Rhexon.refuse_unless(
          record["by"].nil? || away.include?(record["by"]) || people.any? { |person| person.id == record["by"] },
          "#{record["by"]} is not among the people", where: "by", accepted: people.map(&:id).join(", ")
        )
      end
    end
  end
end
