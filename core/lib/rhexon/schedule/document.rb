module Rhexon
  module Schedule
    # A schedule document (rhexon-schedule/2): plain frozen JSON, checked against its schema and against the piece it
    # is for. Documents of rhexon-schedule/1 are read as well.
    module Document
      # The last documents found sound: a shop is planned again and again with most of its schedules unchanged.
      @sound = Cache.new(128)
      FORMAT = "rhexon-schedule/2".freeze

      module_function

      # @return [Hash{String=>Object}] a document with no steps
      def empty(room: nil) = { "format" => FORMAT, "steps" => [], **(room ? { "room" => room } : {}) }

      # @param document [Hash] parsed JSON with string keys, of either version
      # @param fillers [Array<String>] products that fill pores: a document of version 1 does not say
      # @return [Hash] the document in version 2, deeply frozen
      # @raise [InvalidInput]
      def check!(document, fillers: [])
        if document.is_a?(Hash) && document["format"] == StepUp::OLD
          Schema.check!("rhexon-schedule-1", document)
          document = StepUp.document(document, fillers)
        end
        @sound.fetch(document) { sound(document) }
      end

      def sound(document)
        Schema.check!("rhexon-schedule-2", document)
        twice = document["steps"].map { |step| step["id"] }.tally.find { |_, count| count > 1 }
        if twice
          raise InvalidInput.new("Two steps have the id #{twice.first}", where: "steps", accepted: "one id a step")
        end

        Loops.check!(document)
        Reach.check!(document)
        Reference.freeze_deep(document)
      end
      private_class_method :sound

      # The one rule for names, on every way a document comes in: what it names is there, and its kinds of step may
      # use it.
      # @param faces  [Array<String>]
      # @param products [Hash{String=>Materials::Product}]
      # @param rooms  [Array<String>]
      # @param tools  [Array<String>]
      # @param people [Array<String>]
      # @raise [InvalidInput]
      def check_names!(document, faces:, products:, rooms:, tools:, people:)
        document["steps"].each do |step|
          [ *step["faces"], *step["closes"] ].each { |face| known!(step, "faces", face, faces, "face") }
          check_products!(step, products)
          Fitting.check_way!(step)
          %w[room dry_room].each { |field| known!(step, field, step[field], rooms, "room") if step[field] }
          known!(step, "tool", step["tool"], tools, "tool") if step["tool"]
          (step["pins"] || []).each { |pin| known!(step, "pins", pin["person"], people, "person") if pin["person"] }
          stray_pin!(document, step)
        end
        %w[room dry_room].each do |field|
          known!({ "id" => nil }, field, document[field], rooms, "room") if document[field]
        end
      end

      # @param step [Hash]
      # @param products [Hash{String=>Materials::Product}]
      # @raise [InvalidInput] when a product or thinner is not there, or the kind of step cannot use it
      def check_products!(step, products)
        known!(step, "product", step["product"], products.keys, "product") if step["product"]
        Fitting.check_product!(step, products)
        Fitting.check_tint!(step, products)
        return unless step["thinner"]

        thinners = products.select { |_, product| Kinds.thinner?(product) }
        known!(step, "thinner", step["thinner"], thinners.keys, "thinner")
      end

      def step(document, id)
        document["steps"].find { |step| step["id"] == id } or
          raise InvalidInput.new("There is no step #{id}; it may have been removed", where: "steps/#{id}")
      end

      def known!(step, field, name, names, word)
        return if names.include?(name)

        whose = step["id"] ? "Step #{step["id"]}" : "The schedule"
        raise InvalidInput.new("#{whose} names a #{word} that is not there: #{name}",
                               where: [ "steps", step["id"] || "schedule", field ].join("/"),
                               accepted: names.empty? ? "none yet" : names.first(12).join(", "))
      end
      private_class_method :known!

      def stray_pin!(document, step)
        stray = (step["pins"] || []).find { |pin| pin["coat"] > Loops.most_coats(document, step) }
        if stray
          raise InvalidInput.new("Step #{step["id"]} has no coat #{stray["coat"]} to pin",
                                 where: "steps/#{step["id"]}/pins")
        end
      end
      private_class_method :stray_pin!
    end
  end
end
