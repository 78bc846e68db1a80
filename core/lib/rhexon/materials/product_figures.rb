require "json"

module Rhexon
  module Materials
    # A product record as lines of text, one a figure, and back: what the product page shows, its form edits and CSV
    # carries.
    # The list of figures is core/data/figures.yml.
    class ProductFigures
      # @!attribute value  [String] as written; empty when there is none
      # @!attribute state  [String] given, default (of the class, an estimate) or missing
      # @!attribute source [String, nil]
      # @!attribute columns, rows [Array, nil] the same as {FigureRows}, where it has several parts
      Line = Struct.new(:path, :words, :unit, :kind, :value, :state, :source, :choices, :columns, :rows,
                        keyword_init: true)
      Group = Struct.new(:name, :lines, keyword_init: true)
      NONE = "none".freeze
      RANGE = /\A(-?[\d.,]+)\s*(?:to|–|\.\.|-)\s*(-?[\d.,]+)\z/
      PACK = /\A([\d.,]+\s*[a-zA-Z]+)\s*(?:[=:]?\s*([\d.,]+))?\z/
      MIX = /
        \A(\S+)\s+([\d.,]+)\s*(volume|mass)?\s*(?:of\ the\ (base|total))?\s*
        (?:\(?([\d.,]+\s*(?:to|–|-)\s*[\d.,]+)\)?)?\z
      /x
      STEP = /\A(?:(\w+):\s*)?(.+?)(?:,\s*([\d.,]+)\s*min)?\z/

      class << self
        # @return [Array<Hash>] every figure of the list
        def figures = @figures ||= table.groups.flat_map { |group| group.fetch("figures") }.freeze
        def paths = figures.map { |figure| figure.fetch("path") }
        def table = Reference.figures

        # The figures of a record from written lines. A line left empty takes the figure away.
        # @param written [Hash{String=>String, Array<Array<String>>}] by path, in one line or as {FigureRows}; paths
        #   left out stay as they were
        # @param before [Hash] figures so far
        # @return [Hash] figures
        # @raise [InvalidInput] names the line, and what is accepted
        def read(written, before = {})
          figures.each_with_object(JSON.parse(JSON.generate(before))) do |figure, record|
            next unless written.key?(figure["path"])

            set(record, figure["path"].split("."), value(figure, line(figure, written[figure["path"]])))
          end
        end

        # @return [String] a figure as it is written
        def write(figure, value)
          return "" if value.nil?

          case figure["kind"]
          when "flag" then value ? "yes" : ""
          when "range" then value.map { |number| plain(number) }.join(" to ")
          when "pairs" then value.map { |at, number| "#{plain(at)}: #{plain(number)}" }.join(", ")
          when "waits" then value.map { |name, minutes| "#{name.tr("_", " ")}: #{plain(minutes)}" }.join(", ")
          when "methods" then value.map { |method, times| method_words(method, times) }.join("; ")
          when "packs" then value.map { |pack| pack_words(pack) }.join("; ")
          when "mix" then value.map { |component| component_words(component) }.join("; ")
          when "steps" then value.map { |step| step_words(step) }.join("; ")
          else value.is_a?(Numeric) ? plain(value) : value.to_s
          end
        end

        private

        # Rows of fields in the one line that CSV has for them.
        def line(figure, typed)
          typed.is_a?(Array) && FigureRows.rows?(figure) ? FigureRows.line(figure, typed) : typed.to_s.strip
        end

        def value(figure, text)
          return nil if text.empty?

          case figure["kind"]
          when "number" then figure["none"] && text.casecmp?(NONE) ? :none : number(figure, text)
          when "range" then range(figure, text)
          when "pairs" then text.split(/[,;]\s+|;/).map { |pair| pair(figure, pair) }
          when "waits" then text.split(/[,;]\s*/).to_h { |part| wait(figure, part) }
          when "methods" then text.split(";").to_h { |part| by_method(figure, part.strip) }
          when "packs" then text.split(";").map { |pack| pack(figure, pack.strip) }
          when "mix" then text.split(";").map { |part| component(figure, part.strip) }
          when "steps" then text.split(";").map { |part| step(part.strip) }
          when "flag" then flag(figure, text)
          when "choice"
            if figure["choices"].include?(text.downcase)
              text.downcase
            else
              refuse(figure, text, figure["choices"].join(" or "))
            end
          else text[0, 2000]
          end
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

        def step(text)
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

        def set(record, path, value)
          *parents, last = path
          inner = parents.inject(record) { |hash, name| hash[name] ||= {} }
          if value.nil?
            inner.delete(last)
          else
            inner[last] = (value == :none ? nil : value)
          end
          record.delete(parents.first) if parents.any? && inner.empty?
        end

        def component_words(component)
          range = component["range"]
          [ component["product"], plain(component["parts"]), component["basis"] || "volume",
            ("of the total" if component["of"] == "total"),
            (range.map { |part| plain(part) }.join(" to ") if range) ].compact.join(" ")
        end

        def method_words(method, times)
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

      # @param product [Product]
      def initialize(product)
        @product = product
        @record = product.to_h
        @defaults = Reference.classes.classes.fetch(product.class_id)
      end

      # @return [Array<Group>]
      def groups
        self.class.table.groups.map do |group|
          Group.new(name: group["name"], lines: group["figures"].map { |figure| line(figure) })
        end
      end

      # Figures that matter for planning and have neither a value of their own nor one of the class.
      # @return [Array<Line>]
      def gaps = groups.flat_map(&:lines).select { |line| line.state == "missing" && wanted?(line.path) }

      # @return [Hash{String=>String}] what is given, as written
      def written = self.class.figures.to_h { |figure| [ figure["path"], written_value(figure) ] }

      private

      def line(figure)
        path = figure["path"]
        given = given?(path)
        value = dig(given ? @record : @defaults, path)
        state = if given
          "given"
        else
          value.nil? ? "missing" : "default"
        end
        Line.new(
          path: path, words: figure["words"], unit: figure["unit"], kind: figure["kind"], choices: figure["choices"],
          value: given ? written_value(figure) : self.class.write(figure, value), state: state,
          source: source(path, state), **parts(figure, value)
        )
      end

      def parts(figure, value)
        return {} unless FigureRows.rows?(figure)

        { columns: FigureRows.columns(figure).map(&:to_h), rows: FigureRows.rows(figure, value) }
      end

      def source(path, state)
        case state
        when "given" then @record.dig("sources", path) || @record["source"] || "given with the product"
        when "default" then Reference.classes.source
        end
      end

      def written_value(figure)
        return "" unless given?(figure["path"])

        value = dig(@record, figure["path"])
        value.nil? ? NONE : self.class.write(figure, value)
      end

      def given?(path)
        *parents, last = path.split(".")
        inner = parents.inject(@record) { |hash, name| hash.is_a?(Hash) ? hash[name] : nil }
        inner.is_a?(Hash) && inner.key?(last)
      end

      def dig(record, path) = path.split(".").inject(record) { |hash, name| hash.is_a?(Hash) ? hash[name] : nil }

      # A film needs a density to be weighed and packs to be bought; a helper too.
      def wanted?(path)
        return path == "mix" && @product.pot_life_min&.value if path == "mix"

        %w[packs source].include?(path) || (path == "density_g_per_ml")
      end
    end
  end
end
