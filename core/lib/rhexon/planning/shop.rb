require "digest"

module Rhexon
  module Planning
    # What a plan is made from, read and checked: the values behind rhexon-shop/1.
    class Shop
      HOUSE = { "scuff" => "none", "scuff_valid_min" => 1440, "missed_window" => "scuff", "rub_out" => "usual", "measure" => "mass", "shellac_months" => 6 }.freeze

      attr_reader :zone, :now, :seed, :effort, :house, :calendar, :person, :rooms, :products, :pieces, :facts, :pins, :previous, :stock, :consumables, :scale_g, :digest

      # @param json [Hash] rhexon-shop/1 with string keys
      # @raise [Refusal] with the first thing that is wrong
      def initialize(json)
        Schedule::Schema.check!("rhexon-shop-1", json["products"].is_a?(Array) ? json.merge("products" => []) : json)
        @json = json
        @digest = Digest::SHA256.hexdigest(JSON.generate(json))
        @zone = Zone.new(json["zone"])
        @now = Zone.minute(json["now"], where: "now")
        @seed = json["seed"] || 1
        @effort = json["effort"] || "quick"
        @house = HOUSE.merge(json["house"] || {})
        read_people(json["people"])
        @rooms = json["rooms"].to_h { |room| [ room["id"], line(room) ] }
        @products = json["products"].each_with_index.to_h { |record, index| product(record, index) }
        @pieces = json["pieces"].map { |record| piece(record) }
        @facts = Facts.fold(json["log"] || [])
        @pins = read_pins(json["pins"] || [])
        @previous = json["previous"] || []
        @stock = json["stock"]&.map { |record| Stock::Batch.read(record) }
        @consumables = json["consumables"] || []
        @scale_g = json.dig("scale", "resolution_g") || 1
      end

      # The same shop with another schedule for one piece.
      # @return [Shop]
      def with_schedule(piece_id, document) = self.class.new(@json.merge("pieces" => @json["pieces"].map { |piece| piece["id"] == piece_id ? piece.merge("schedule" => document) : piece }))

      # The same shop with other air in some rooms.
      # @param air [Hash{String=>Hash}] room id => "climate" and "daily"
      # @return [Shop]
      def with_rooms(air) = self.class.new(@json.merge("rooms" => @json["rooms"].map { |room| air.key?(room["id"]) ? { "id" => room["id"], **air[room["id"]] } : room }))

      # The same shop with other hours.
      # @yieldparam week [Hash{String=>Array}]
      # @yieldreturn [Hash{String=>Array}]
      # @return [Shop]
      def with_weeks = self.class.new(@json.merge("people" => @json["people"].map { |person| person.merge("week" => yield(person["week"])) }))

      def horizon = now + Reference.table("hands").fetch("horizon_days") * 1440

      private

      def read_people(people)
        @person = people.first["id"]
        @calendar = Calendar.new(week: people.first["week"], except: people.first["except"], zone: @zone, from: @now, days: Reference.table("hands").fetch("horizon_days"))
      end

      def line(room)
        Drying::Line.read(room, @zone)
      rescue Refusal => refusal
        raise Refusal.new(refusal.message, where: "rooms/#{room["id"]}/#{refusal.where}")
      end

      def product(record, index)
        found = Materials::Product.read(record)
        [ found.id, found ]
      rescue Refusal => refusal
        raise refusal if refusal.where.start_with?("products/")

        raise Refusal.new(refusal.message, where: [ "products", index, refusal.where ].reject { |part| part == "" }.join("/"))
      end

      def piece(record)
        faces = record["faces"].to_h { |face| [ face["id"], face ] }
        document = Schedule::Document.check!(record["schedule"].empty? ? Schedule::Document.empty : record["schedule"])
        helpers, laid = products.keys.partition { |id| products.fetch(id).helper? }
        Schedule::Document.check_names!(document, faces: faces.keys, products: laid, helpers: helpers, rooms: rooms.keys)
        Piece.new(id: record["id"], count: record["count"] || 1, faces: faces, schedule: document, release: minute(record["release"]), due: minute(record["due"]),
                  ready_at: record["ready_at"] || "handle", use: record["use"], arris: record["arris"], house: house.merge(document["house"] || {})).freeze
      rescue Refusal => refusal
        raise Refusal.new(refusal.message, where: "pieces/#{record["id"]}/#{refusal.where}")
      end

      def minute(text) = text && Zone.minute(text, where: "pieces")

      # Pins of the schedules are pins of the plan; a pin given with the plan wins.
      def read_pins(given)
        own = pieces.flat_map do |piece|
          piece.schedule["steps"].flat_map do |step|
            (step["pins"] || []).map { |pin| [ Pass.key(piece, step, pin["coat"]), Zone.minute(pin["start"], where: "pins") ] }
          end
        end
        own.to_h.merge(given.select { |pin| pin["start"] }.to_h { |pin| [ pin["pass"], Zone.minute(pin["start"], where: "pins") ] })
      end
    end
  end
end
