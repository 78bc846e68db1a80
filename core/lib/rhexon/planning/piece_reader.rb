module Rhexon
  module Planning
    # Reads a piece of rhexon-shop/1 into the shop that it lies in.
    class PieceReader
      # @param shop [Shop] with its rooms, tools, products and people
      # @param log [Array<Hash>] "log" of rhexon-shop/1
      def initialize(shop, log)
        @shop = shop
        @log = log
      end

      # @param record [Hash] a piece of rhexon-shop/1
      # @return [Piece]
      # @raise [InvalidInput]
      def read(record)
        most = Reference.hands.most_faces
        Rhexon.refuse_unless(record["faces"].size <= most, "A piece of #{record["faces"].size} faces is too many",
                             where: "faces", accepted: "up to #{most}; write it as several pieces")
        faces = Work::Told.faces(record, @log)
        document = document_of(record, faces)
        refuse_stranger(record)
        refuse_unknown_coat(record)
        refuse_tools_of_the_shop(record, document)
        Piece.same(Piece.new(**lasting(record), **wood(record), faces: faces, schedule: document,
                                                                house: house_of(document)).freeze)
      rescue InvalidInput => refusal
        raise InvalidInput.new(refusal.message, where: "pieces/#{record["id"]}/#{refusal.where}")
      end

      private

      def document_of(record, faces)
        document = Schedule::Document.check!(
          record["schedule"].empty? ? Schedule::Document.empty : record["schedule"], fillers: fillers
        )
        Schedule::Fitting.check_strays!(document)
        document = Faults::Log.mended(document, record["id"], @log, @shop.products)
        Schedule::Document.check_names!(document, faces: faces.keys, products: @shop.products, rooms: @shop.rooms.keys,
                                                  tools: @shop.tools.map { |tool| tool["id"] },
                                                  people: @shop.people.map(&:id) + @shop.away)
        document
      end

      def lasting(record)
        { id: record["id"], count: record["count"] || 1, release: @shop.near(record["release"], "release"),
          due: @shop.near(record["due"], "due"), job: record["job"] || record["id"], by: record["by"],
          priority: record["priority"] || "normal",
          ready_at: record["ready_at"] || "handle", use: record["use"], arris: record["arris"], shape: record["shape"],
          sketch: record["sketch"] && Areas::Floor.check!(record["sketch"]), wanted: record["wanted"] || {},
          boards: record["boards"], look_approved: record["look_approved"] || false }
      end

      def wood(record)
        { named_wood: record["wood"], wood_like: kind_of_wood(record), wood_facts: record["wood_facts"] || {},
          place_air: record["place_air"] }
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
        own = document["house"] or return @shop.house
        @shop.house.merge(own, "checks" => @shop.house["checks"].merge(own["checks"] || {}))
      end

      def fillers = @shop.products.each_value.select(&:filler?).map(&:id)

      # What is said to be on a face is on the shelf's list.
      def refuse_unknown_coat(record)
        record["faces"].each do |face|
          named = face.dig("found", "product") or next
          Rhexon.refuse_unless(@shop.products[named]&.film?, "#{face["id"]} has a coat that is not known: #{named}",
                               where: "faces", accepted: "a product that leaves a film, or none")
        end
      end

      # What a class may not use is nobody's to plan with.
      def refuse_tools_of_the_shop(record, document)
        return unless record["shop_tools"] == false

        kinds = @shop.tools.map { |tool| tool["for"] }
        step = document["steps"].find { |one| one["tool"] || kinds.include?(one["method"]) } or return
        Rhexon.refuse_unless(
          false, "#{step["method"].to_s.capitalize} needs a tool of the shop, which this piece may not use",
          where: "steps/#{step["id"]}/method", accepted: "another method, or the owner lets the class use the tools"
        )
      end

      # A piece's own hands are in the shop.
      def refuse_stranger(record)
        Rhexon.refuse_unless(
          record["by"].nil? || @shop.away.include?(record["by"]) || @shop.people.any? { |person|
            person.id == record["by"]
          },
          "#{record["by"]} is not among the people", where: "by", accepted: @shop.people.map(&:id).join(", ")
        )
      end
    end
  end
end
