module Rhexon
  module Schedule
    # A schedule document (rhexon-schedule/1): plain frozen JSON, checked against its schema and against the piece it is for.
    module Document
      KEPT = 128
      @checked = {}
      FORMAT = "rhexon-schedule/1".freeze
      PHASES = { "sand" => "prepare", "raise_grain" => "prepare", "stain" => "colour", "wait" => "wait", "look" => "look" }.freeze

      module_function

      # @return [Hash{String=>Object}] a document with no steps
      def empty(room: nil) = { "format" => FORMAT, "steps" => [], **(room ? { "room" => room } : {}) }

      # @param document [Hash] parsed JSON with string keys
      # @return [Hash] the document, deeply frozen
      # @raise [Refusal]
      def check!(document)
        return @checked[document] if @checked.key?(document)

        Schema.check!("rhexon-schedule-1", document)
        twice = document["steps"].map { |step| step["id"] }.tally.find { |_, count| count > 1 }
        raise Refusal.new("Two steps have the id #{twice.first}", where: "steps", accepted: "one id a step") if twice

        Reference.freeze_deep(document).tap { |sound| keep(sound) }
      end

      # The last documents found sound: a shop is planned again and again with most of its schedules unchanged.
      def keep(document)
        @checked.shift if @checked.size >= KEPT
        @checked[document] = document
      end
      private_class_method :keep

      # @param products [Array<String>] ids of what can be laid on
      # @param helpers [Array<String>] ids of thinners and other products that only go into a mix
      # @raise [Refusal] when a step names a face, product or room that is not there
      def check_names!(document, faces:, products:, rooms:, helpers: [])
        document["steps"].each do |step|
          (step["faces"] || []).each { |face| known!(step, "faces", face, faces, "face") }
          known!(step, "product", step["product"], products, "product") if step["product"]
          known!(step, "thinner", step["thinner"], helpers, "thinner") if step["thinner"]
          known!(step, "room", step["room"], rooms, "room") if step["room"]
          stray_pin!(step)
        end
        known!({ "id" => "schedule" }, "room", document["room"], rooms, "room") if document["room"]
      end

      def step(document, id)
        document["steps"].find { |step| step["id"] == id } or
          raise Refusal.new("There is no step #{id}; it may have been removed", where: "steps/#{id}")
      end

      def known!(step, field, name, names, word)
        Rhexon.refuse_unless(names.include?(name), "Step #{step["id"]} names a #{word} that is not there: #{name}",
                             where: "steps/#{step["id"]}/#{field}", accepted: names.empty? ? "none yet" : names.first(12).join(", "))
      end
      private_class_method :known!

      def stray_pin!(step)
        stray = (step["pins"] || []).find { |pin| pin["coat"] > (step["coats"] || 1) }
        raise Refusal.new("Step #{step["id"]} has no coat #{stray["coat"]} to pin", where: "steps/#{step["id"]}/pins") if stray
      end
      private_class_method :stray_pin!
    end
  end
end
