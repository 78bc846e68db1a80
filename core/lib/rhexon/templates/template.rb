module Rhexon
  module Templates
    # A schedule that is kept for other pieces (rhexon-template/1).
    class Template
      FORMAT = "rhexon-template/1".freeze
      # Hours, mendings and hands are of the piece it was made on.
      OWN = %w[pins mends].freeze
      private_constant :OWN

      # @param json [Hash]
      # @raise [InvalidInput] with the first thing that is wrong
      def self.read(json)
        Rhexon.refuse_unless(json.is_a?(Hash), "This is no recipe of the book", where: "", accepted: FORMAT)
        Schema.check!("rhexon-template-1", json)
        new(json.merge("schedule" => Schedule::Document.check!(json["schedule"]))).tap(&:check!)
      end

      # @param name [String]
      # @param piece [Planning::Piece] with the schedule that is kept
      # @param products [Hash{String=>Materials::Product}]
      # @param says [String, nil]
      # @param film_um [Numeric, nil]
      # @return [Template] in which everything may be varied that can be
      # @raise [InvalidInput]
      def self.of_piece(name:, piece:, products:, says: nil, film_um: nil)
        steps = piece.schedule["steps"].reject { |step| step["mends"] }.map { |step| step.except(*OWN) }
        Rhexon.refuse_unless(steps.any?, "There are no steps to keep", where: "schedule", accepted: "one step at least")
        used = named(steps).map { |id| known(products.fetch(id)) }
        made = { "format" => FORMAT, "name" => name, "says" => says, "wood" => piece.named_wood, "use" => piece.use,
                 "film_um" => film_um, "faces" => faces(piece), "products" => used, "parameters" => [],
                 "schedule" => piece.schedule.except("room", "dry_room").merge("steps" => steps) }.compact
        read(made).then { |template| template.varying(template.variable.map(&:key)) }
      end

      # @param steps [Array<Hash>]
      # @return [Array<String>] ids of the products that they name, each once
      def self.named(steps)
        steps.flat_map { |step| [ step["product"], step["thinner"], *step["tint"]&.map { |one| one["product"] } ] }
          .compact.uniq
      end

      def self.known(product)
        { "id" => product.id, "name" => product.name, "class" => product.class_id, "colour" => product.colour,
          "role" => product.role, "sheen_gu" => product.sheen_gu&.value }.compact
      end

      def self.faces(piece)
        piece.faces.map { |id, face| { "id" => id, "kind" => face["kind"] || "face", "grain" => piece.wood(id) } }
      end
      private_class_method :known, :faces

      attr_reader :json

      def initialize(json)
        @json = json
        freeze
      end

      %w[name says wood use film_um faces products schedule].each { |field| define_method(field) { @json[field] } }

      def steps = schedule["steps"]
      def product(id) = products.find { |one| one["id"] == id }

      # A can has one sheen, which is asked for where it is laid on last.
      # @return [Array<Parameter>] all that could be varied
      def variable
        steps.flat_map do |step|
          last = steps.reverse.find { |one| one["product"] == step["product"] }.equal?(step)
          Varied.parameters(step, product(step["product"])).reject { |one| one.field == "sheen_gu" && !last }
        end
      end

      # @return [Array<Parameter>] what is offered to be varied
      def parameters
        wanted = @json["parameters"].map { |one| one.values_at("step", "field").join("/") }
        variable.select { |one| wanted.include?(one.key) }
      end

      # @param keys [Array<String>] of +variable+
      # @return [Template] in which these are offered to be varied
      # @raise [InvalidInput]
      def varying(keys)
        known = variable.map(&:key)
        stray = (keys - known).first
        Rhexon.refuse_unless(stray.nil?, "#{stray} cannot be varied", where: "parameters", accepted: known.join(", "))
        Template.read(@json.merge("parameters" => (known & keys).map { |key| %w[step field].zip(key.split("/")).to_h }))
      end

      # @return [Template] by another name, or for something else
      # @raise [InvalidInput]
      def named(name, says) = Template.read(@json.merge({ "name" => name, "says" => says }.compact))

      # What its steps name stands in it.
      # @raise [InvalidInput]
      def check!
        missing = (Template.named(steps) - products.map { |one| one["id"] }).first
        Rhexon.refuse_unless(missing.nil?, "Its steps name a product that it does not describe: #{missing}",
                             where: "products", accepted: products.map { |one| one["id"] }.join(", "))
        ids = faces.map { |face| face["id"] }
        stray = (steps.flat_map { |step| [ *step["faces"], *step["closes"] ] } - ids).first
        Rhexon.refuse_unless(stray.nil?, "Its steps name a face that it does not have: #{stray}", where: "faces",
                             accepted: ids.join(", "))
        unknown = products.map { |one| one["class"] }.find { |id| !Reference.classes.classes.key?(id) }
        Rhexon.refuse_unless(unknown.nil?, "There is no kind of product #{unknown.inspect}", where: "products",
                             accepted: Reference.classes.classes.keys.join(", "))
      end
    end
  end
end
