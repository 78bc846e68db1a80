module Rhexon
  module Materials
    # One figure of a product as a line of text, and back.
    module FigureLine
      NONE = "none".freeze
      RANGE = /\A(-?[\d.,]+)\s*(?:to|–|\.\.|-)\s*(-?[\d.,]+)\z/
      PACK = /\A([\d.,]+\s*[a-zA-Z]+)\s*(?:[=:]?\s*([\d.,]+))?\z/
      MIX = /
        \A(\S+)\s+([\d.,]+)\s*(volume|mass)?\s*(?:of\ the\ (base|total))?\s*
        (?:\(?([\d.,]+\s*(?:to|–|-)\s*[\d.,]+)\)?)?\z
      /x
      STEP = /\A(?:(\w+):\s*)?(.+?)(?:,\s*([\d.,]+)\s*min)?\z/

      # How the parts of a figure are told from each other, and what reads and writes one.
      Part = Struct.new(:ends, :joined, :read, :write)
      PARTS = {
        "pairs" => Part.new(/[,;]\s+|;/, ", ", :pair, :pair_words),
        "waits" => Part.new(/[,;]\s*/, ", ", :wait, :wait_words),
        "methods" => Part.new(";", "; ", :by_method, :method_words),
        "packs" => Part.new(";", "; ", :pack, :pack_words),
        "mix" => Part.new(";", "; ", :component, :component_words),
        "steps" => Part.new(";", "; ", :step, :step_words)
      }.freeze

      class << self
        # @return [String] a figure as it is written
        def write(figure, value)
          return "" if value.nil?
          return written(figure, value) if PARTS.key?(figure["kind"])

          case figure["kind"]
          when "flag" then value ? "yes" : ""
          when "range" then value.map { |number| plain(number) }.join(" to ")
          else plain(value)
          end
        end

        # @param text [String] as typed
        # @return the figure, nil for an empty text
        # @raise [InvalidInput] names the line, and what is accepted
        def read(figure, text)
          return if text.empty?

          case figure["kind"]
          when "number" then figure["none"] && text.casecmp?(NONE) ? :none : number(figure, text)
          when "range" then range(figure, text)
          when "waits", "methods" then parts(figure, text).to_h
          when "pairs", "packs", "mix", "steps" then parts(figure, text)
          when "flag" then flag(figure, text)
          when "choice" then choice(figure, text)
          else text[0, 2000]
          end
        end

        private

        def parts(figure, text)
          part = PARTS.fetch(figure["kind"])
          text.split(part.ends).map { |one| send(part.read, figure, one.strip) }
        end

        def written(figure, value)
          part = PARTS.fetch(figure["kind"])
          value.map { |one| send(part.write, one) }.join(part.joined)
        end

        def choice(figure, text)
          return text.downcase if figure["choices"].include?(text.downcase)

          refuse(figure, text, figure["choices"].join(" or "))
        end

        def number(figure, text)
          text = SheetTime.minutes(text) if figure["unit"] == "min"
          value = comma!(figure, text) && Float(text.tr(",", ".").delete(" "), exception: false)
          fits = value && value.finite? && (figure["least"].nil? || value >= figure["least"]) &&
            (figure["above"].nil? || value > figure["above"]) && (figure["most"].nil? || value <= figure["most"])
          refuse(figure, text, limits(figure)) unless fits
          value == value.round ? value.to_i : value
        end

        # Where a comma can be both it is asked.
        def comma!(figure, text)
          both = Typed::BOTH.match(text.delete(" ")) or return true
          refuse(figure, text, "#{both[1]}.#{both[2]} or #{both[1]}#{both[2]}, written without the comma")
        end

        def limits(figure)
          [
            ("#{figure["least"]} or more" if figure["least"]), ("more than #{figure["above"]}" if figure["above"]),
            ("at most #{figure["most"]}" if figure["most"]), ("or none" if figure["none"])
          ]
            .compact
            .join(", ")
            .then { |words| "a number#{" #{figure["unit"]}" if figure["unit"]}#{", #{words}" unless words.empty?}" }
        end

        def range(figure, text)
          match = RANGE.match(text) or refuse(figure, text, "two numbers, such as 0 to 10")
          match.captures.map { |part| number(figure, part) }
        end

        def pair(figure, text)
          parts = text.split(/[:=]/)
          refuse(figure, text, "pairs such as 0: 42, 5: 31") unless parts.size == 2
          parts.map { |part| number(figure, part.strip) }
        end

        # What goes over, in the words of a sheet or by its class, and minutes.
        def wait(figure, text)
          name, minutes = text.split(/[:=]/).map(&:strip)
          key = name.to_s.downcase.tr(" ", "_")
          known = Pairs.names | Reference.classes.classes.keys
          unless minutes && known.include?(key)
            refuse(
              figure, text,
              "what goes over and minutes, such as waterborne: 120. Known are #{Pairs.names.join(", ").tr("_", " ")}"
            )
          end
          [ key, number({ **figure, "least" => 0 }, minutes) ]
        end

        def by_method(figure, text)
          name, times = text.split(":", 2).map(&:strip)
          method = Materials::Methods::DONE.key(name.to_s.downcase) || (name if Materials::Methods::DONE.key?(name))
          unless method && times
            refuse(figure, text, "a method and its times, such as padded: recoat opens 2, sand 10")
          end
          [ method, times.split(/,\s*/).to_h { |time| time_of(figure, time) } ]
        end

        def time_of(figure, text)
          match = /\A(.+?)\s+([\d.,]+(?:\s*[a-z]+)?)\z/i.match(text)
          name = match && match[1].downcase.tr(" -", "__")
          unless Product::MILESTONES.include?(name)
            refuse(figure, text, "a milestone and minutes: #{Product::MILESTONES.first(9).join(", ").tr("_", " ")}")
          end
          [ name, number({ **figure, "least" => 0 }, match[2]) ]
        end

        def pack(figure, text)
          match = PACK.match(text) or refuse(figure, text, "packs with their price, such as 1000 ml 34.50; 5 kg 149")
          amount = Typed.read(match[1], where: figure["path"])
          {
            amount.kind == :mass ? "g" : "ml" => amount.value, "price" => match[2] && number(figure, match[2])
          }.compact
        end

        def component(figure, text)
          match = MIX.match(text) or
            refuse(figure, text,
                   "the product's code, its parts, volume or mass, and the range: h12 10 volume 8 to 12")
          code, parts, basis, of, range = match.captures
          {
            "product" => code, "parts" => number(figure, parts), "basis" => basis || "volume", "of" => of || "base",
            "role" => "hardener", "range" => range && range({ **figure, "least" => 0 }, range)
          }.compact
        end

        def step(_figure, text)
          after, what, minutes = STEP.match(text).captures
          { "after" => after, "do" => what, "min" => minutes ? minutes.tr(",", ".").to_f : 0 }.compact
        end

        def flag(figure, text)
          return true if text.match?(/\A(yes|y|true|1|x|ja)\z/i)
          return nil if text.match?(/\A(no|n|false|0|nein|-)\z/i)

          refuse(figure, text, "yes or no")
        end

        def refuse(figure, text, accepted)
          raise(
            InvalidInput.new(
              "#{figure["words"].capitalize}: #{text.inspect} is not understood", where: figure["path"],
              accepted: accepted
            )
          )
        end

        def component_words(component)
          range = component["range"]
          [ component["product"], plain(component["parts"]), component["basis"] || "volume",
            ("of the total" if component["of"] == "total"),
            (range.map { |part| plain(part) }.join(" to ") if range) ].compact.join(" ")
        end

        def pair_words((at, number)) = "#{plain(at)}: #{plain(number)}"
        def wait_words((name, minutes)) = "#{name.tr("_", " ")}: #{plain(minutes)}"

        def method_words((method, times))
          said = times.map { |name, minutes| "#{name.tr("_", " ")} #{plain(minutes)}" }
          "#{Materials::Methods::DONE.fetch(method, method)}: #{said.join(", ")}"
        end

        def pack_words(pack)
          [ plain(pack["g"] || pack["ml"]), pack["g"] ? "g" : "ml", *(plain(pack["price"]) if pack["price"]) ].join(" ")
        end

        def step_words(step)
          after = "#{step["after"]}: " if step["after"]
          wait = ", #{plain(step["min"])} min" if step["min"].to_f.positive?
          "#{after}#{step["do"]}#{wait}"
        end

        def plain(number) = number.is_a?(Numeric) ? format("%.10g", number) : number.to_s
      end
    end
  end
end
