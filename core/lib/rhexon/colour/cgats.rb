module Rhexon
  module Colour
    # CGATS.17 text, the open format of colour instruments: keywords, a data format, rows of samples.
    module Cgats
      # @!attribute id       [String]
      # @!attribute lab      [Array<Float>, nil]
      # @!attribute spectrum [Array<Float>, nil] reflectance at Spectrum::NM
      Sample = Struct.new(:id, :lab, :spectrum, keyword_init: true)
      # @!attribute light    [String] "D65" where the file does not say otherwise
      # @!attribute observer [String] "2" or "10" degrees
      Table = Struct.new(:samples, :light, :observer, :originator, keyword_init: true)

      LAB = %w[LAB_L LAB_A LAB_B].freeze
      SPECTRAL = /\A(?:SPECTRAL_NM_?|SPECTRAL_|NM_?)(\d{3})\z/
      MOST_ROWS = 5000

      module_function

      # @param samples [Array<Sample>]
      # @return [String]
      def write(samples, light: "D65", observer: "2", originator: "Rhexon", created: nil)
        fields = [
          "SAMPLE_ID", *(LAB if samples.any?(&:lab)),
          *(Spectrum::NM.map { |nm| "SPECTRAL_NM_#{nm}" } if samples.any?(&:spectrum))
        ]
        rows = samples.map { |sample| row(sample, fields).join("\t") }
        [ "CGATS.17", "ORIGINATOR \"#{originator}\"", *("CREATED \"#{created}\"" if created),
          "MEASUREMENT_SOURCE \"Illumination=#{light} ObserverAngle=#{observer}\"", "NUMBER_OF_FIELDS #{fields.size}",
          "BEGIN_DATA_FORMAT", fields.join(
            "\t"
          ), "END_DATA_FORMAT", "NUMBER_OF_SETS #{rows.size}", "BEGIN_DATA", *rows, "END_DATA", "" ].join(
            "\n"
          )
      end

      # @param text [String]
      # @return [Table]
      # @raise [InvalidInput] with the line that is wrong
      def read(text)
        lines = text.to_s
          .encode("UTF-8", invalid: :replace, undef: :replace)
          .split(/\r\n|\r|\n/).map
          .with_index(1) { |line, number| [ line.sub(/(\A|\s)#.*/, ""), number ] }
        head = between(lines, "BEGIN_DATA_FORMAT", "END_DATA_FORMAT")
        fields = head.flat_map { |line, _| tokens(line) }.map(&:upcase)
        refuse("The file has no data format", "a CGATS text file with BEGIN_DATA_FORMAT") if fields.empty?
        rows = between(lines, "BEGIN_DATA", "END_DATA").reject { |line, _| line.strip.empty? }
        refuse("The file has no data", "rows between BEGIN_DATA and END_DATA") if rows.empty?
        refuse("The file has #{rows.size} rows", "at most #{MOST_ROWS}") if rows.size > MOST_ROWS
        head = lines.map(&:first).join("\n")
        Table.new(samples: rows.map { |line, number| sample(fields, tokens(line), number) }, light: light(head),
                  observer: head.match?(/(?:OBSERVER\w*)\W+10\b/i) ? "10" : "2",
                  originator: head[/^ORIGINATOR\s+"([^"]*)"/, 1])
      end

      def row(sample, fields)
        fields.map do |field|
          if field == "SAMPLE_ID" then sample.id.match?(/\s/) ? "\"#{sample.id}\"" : sample.id
          elsif (channel = LAB.index(field)) then format("%.4f", (sample.lab || [ 0, 0, 0 ])[channel])
          else format("%.5f", (sample.spectrum || Spectrum::NM.map { 0 })[Spectrum::NM.index(field[/\d+/].to_i)])
          end
        end
      end
      private_class_method :row

      def between(lines, first, last)
        from = lines.index { |line, _| line.strip == first } or return []
        upto = lines.index { |line, _| line.strip == last } or
          refuse("#{first} has no #{last}", "a whole CGATS text file")
        lines[(from + 1)...upto]
      end
      private_class_method :between

      def tokens(line) = line.scan(/"([^"]*)"|(\S+)/).map { |quoted, plain| quoted || plain }
      private_class_method :tokens

      def sample(fields, values, number)
        unless values.size == fields.size
          refuse("Line #{number} has #{values.size} values", "#{fields.size}, as the data format says")
        end
        named = fields.zip(values).to_h
        id = named["SAMPLE_NAME"] || named["SAMPLE_ID"] || number.to_s
        lab = LAB.map { |field| decimal(named[field], field, number) } if LAB.all? { |field| named.key?(field) }
        spectrum = spectrum(named, number)
        unless lab || spectrum
          refuse("Line #{number} has neither L*a*b* nor a spectrum",
                 "LAB_L LAB_A LAB_B, or SPECTRAL_NM_400 to SPECTRAL_NM_700")
        end
        Sample.new(id: id, lab: lab && checked(lab, number), spectrum: spectrum).freeze
      end
      private_class_method :sample

      # Other steps than 10 nm are read between; percents are shares.
      def spectrum(named, number)
        known = named.filter_map { |field, value|
          (nm = field[SPECTRAL, 1]) &&
            [ nm.to_i, decimal(value, field, number) ]
        }.sort
        return if known.empty? || known.first[0] > 400 || known.last[0] < 700

        scale = known.map(&:last).max > 1.5 ? 100.0 : 1.0
        Spectrum::NM.map do |nm|
          right = known.index { |at, _| at >= nm }
          (x2, y2), (x1, y1) = known[right], known[[ right - 1, 0 ].max]
          ((x1 == x2 ? y2 : y1 + (y2 - y1) * (nm - x1) / (x2 - x1).to_f) / scale).clamp(0.0, 1.0)
        end
      end
      private_class_method :spectrum

      def decimal(text, field, number)
        Float(text, exception: false) || refuse("Line #{number} says #{text.inspect} for #{field}", "a number")
      end

      private_class_method :decimal

      def checked(lab, number)
        Lab.check(lab)
      rescue InvalidInput
        refuse("Line #{number} has no colour: #{lab.join(", ")}", "L* 0 to 100, a* and b* -128 to 127")
      end
      private_class_method :checked

      def light(head) = Light.all.map(&:id).find { |id| head.match?(/(?:Illumina\w*|ILLUMINANT)\W+#{id}\b/i) } || "D65"
      private_class_method :light

      def refuse(sentence, accepted) = raise(InvalidInput.new(sentence, where: "file", accepted: accepted))
      private_class_method :refuse
    end
  end
end
