module Rhexon
  module Boards
    # Colour questions as JSON.
    module LookRequest
      GUIDE = "A computed colour is a guide to which boards to make, never a promise.".freeze

      module_function

      # @param json [Hash] "lab1" and "lab2", of the same light and eye
      # @return [Hash] "ciede2000" and "cie76" to four places, and "words"
      # @raise [InvalidInput]
      def difference(json)
        one, other = %w[lab1 lab2].map { |name| lab(json[name], name) }
        delta = Colour::DeltaE.ciede2000(one, other)
        {
          "ciede2000" => delta.round(4), "cie76" => Colour::DeltaE.cie76(one, other).round(4),
          "words" => Colour::DeltaE.label(delta)
        }
      end

      # @param json [Hash] "wood", "steps" of a schedule document, "products", "light", "years", "end_grain"
      # @return [Hash] rhexon-looks/1
      # @raise [InvalidInput]
      def predict(json)
        light = Colour::Light.find(json["light"] || "D65")
        wood = Colour::Wood.request(json["wood"])
        products = (json["products"] || []).to_h { |record| [ record["id"], Materials::Product.read(record) ] }
        steps = Schedule::Document.check!(
          { "format" => Schedule::Document::FORMAT, "steps" => json["steps"] || [] }
        )["steps"]
        missing = steps.filter_map { |step| step["product"] }.find { |id| !products.key?(id) }
        Rhexon.refuse_unless(
          missing.nil?, "The steps name a product that is not there: #{missing}", where: "products",
          accepted: products.keys.join(", ")
        )
        options = { years: number(json["years"] || 0, "years"), end_grain: json["end_grain"] == true }
        {
          "format" => "rhexon-looks/1", "light" => light.id, "observer" => "2", "says" => GUIDE,
          "stages" => Colour::Looks.new(wood, steps, products, **options).stages.map { |stage| stage(stage, light) },
          **spread(json["wood"], steps, products, light, options)
        }
      end

      def stage(stage, light)
        look = stage.look(light)
        { "step" => stage.step && stage.step["id"], "coat" => stage.coat,
          "lab" => look.lab.map { |value| value.round(2) }, "xyz" => look.xyz.map { |value| value.round(3) },
          "srgb" => look.hex, "in_gamut" => look.in_gamut?, "film_um" => stage.film_um.round(1),
          "gaps" => stage.gaps, "notes" => stage.notes }
      end
      private_class_method :stage

      # The same on a pale and a dark board of the species.
      def spread(wood, steps, products, light, options)
        return {} unless wood["species"] && (wood.keys & %w[lab reflectance board]).empty?

        looks = %w[pale dark].to_h do |board|
          [
            board,
            Colour::Looks.new(Colour::Wood.for_species(wood["species"], board), steps, products, **options)
              .final
              .look(light).lab
              .map { |value| value.round(2) }
          ]
        end
        { "spread" => looks.merge("ciede2000" => Colour::DeltaE.ciede2000(*looks.values).round(2)) }
      end
      private_class_method :spread

      def lab(value, where)
        ok = value.is_a?(Array) && value.size == 3 && value.all? { |axis| axis.is_a?(Numeric) && axis.abs < 1000 }
        Rhexon.refuse_unless(ok, "#{where} is not a colour", where: where, accepted: "three numbers: L*, a*, b*")
        value
      end
      private_class_method :lab

      def number(value, where)
        Rhexon.refuse_unless(
          value.is_a?(Numeric) && value.between?(0, 50), "#{where} is a number", where: where, accepted: "0 to 50"
        )
        value
      end
      private_class_method :number
    end
  end
end
