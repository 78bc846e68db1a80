module Rhexon
  module Colour
    # A wood by the reflectance of its bare, sanded surface.
    # @!attribute reflectance [Array<Float>] 31 values
    # @!attribute uptake      [Float] how greedily it drinks stain; 1 for the mean
    # @!attribute spots, tannin, knots, oily [Boolean] known to blotch; holds tannin; holds resinous knots; holds oils
    #   that keep varnish from hardening
    # @!attribute silica      [Boolean] its dust holds silica
    # @!attribute read        [Boolean] read on a board, not taken from the table of species
    # @!attribute drift       [Hash{String=>Array<Float>}] L*a*b* that light adds: "30d", "2y"
    Wood = Struct.new(:species, :board, :reflectance, :uptake, :spots, :tannin, :knots, :oily, :silica, :read, :drift,
                      keyword_init: true) do
      self::BOARDS = { "pale" => "pale", "mean" => "lab", "dark" => "dark" }.freeze

      class << self
        # @return [Array<String>]
        def species = table.woods.keys

        # @param name [String, nil] as the shop names it: "African padauk"
        # @return [Boolean] a wood without figures that is known to hold oils
        def oily_name?(name) = name.to_s.downcase.scan(/[[:alpha:]]+/).intersect?(table.oily_names)

        # The species in a wood as a shop names it: "quarter-sawn white oak" is oak.
        # @param words [String, nil]
        # @return [String, nil]
        def named(words) = words.to_s.downcase.split(/[^[:alpha:]]+/).reverse.find { |word| species.include?(word) }

        # @param species [String]
        # @param board [String] pale, mean or dark board of the kind
        # @raise [InvalidInput]
        def for_species(species, board = "mean")
          @known ||= {}
          @known[[ species, board ]] ||= begin
            record = record(species)
            name = self::BOARDS[board] or
              raise InvalidInput.new(
                "A board is pale, mean or dark", where: "wood", accepted: self::BOARDS.keys.join(", ")
              )
            made(species, board, Reflectance.from_lab(record.fetch(name), Light.find("D65"), shape: shape(record)),
                 record, false)
          end
        end

        # From what was read on the board itself.
        # @param species [String, nil] for its curve and its greed; nil: a smooth curve
        # @param lab [Array<Numeric>, nil] or
        # @param reflectance [Array<Numeric>, nil]
        # @raise [InvalidInput]
        def read(species: nil, lab: nil, reflectance: nil, light: Light.find("D65"))
          record = species ? record(species) : {}
          reflected = if reflectance
            Spectrum.check(reflectance)
          else
            Reflectance.from_lab(lab, light, shape: (shape(record) if species))
          end
          made(species, "read", reflected, record, true)
        end

        # The wood of a piece or board: as it was read, else a board of its kind.
        # @param species [String, nil]
        # @param board [String] pale, mean or dark; a reading stands for the mean one
        # @param lab [Array<Numeric>, nil] read bare
        # @return [Wood, nil] nil: nothing is known of it
        def timber(species, board, lab: nil)
          lab && board == "mean" ? read(species: species, lab: lab) : species && for_species(species, board)
        rescue InvalidInput
          # A reading that no such wood can have is left to the mean board.
          species && for_species(species, board)
        end

        # @param request [Hash] "species" and "board", or "lab", or "reflectance"
        # @raise [InvalidInput]
        def request(request)
          Rhexon.refuse_unless(
            request.is_a?(Hash) && (request.keys & %w[species lab reflectance]).any?,
            "A wood is a species, a reading or a reflectance", where: "wood",
            accepted: '{"species":"elm"}, {"lab":[64,8,21]} or {"reflectance":[31 numbers]}'
          )
          unless request["lab"] || request["reflectance"]
            return for_species(request["species"], request["board"] || "mean")
          end

          read(species: request["species"], lab: request["lab"] && Lab.check(request["lab"]),
               reflectance: request["reflectance"], light: Light.find(request["light"] || "D65"))
        end

        private

        def table = Reference.woods

        def record(species)
          table.woods[species] ||
            raise(
              InvalidInput.new(
                "The wood #{species.inspect} is not known", where: "wood",
                accepted: "#{self.species.join(", ")}, or a reading of the board"
              )
            )
        end

        def made(species, board, reflectance, record, read)
          new(species: species, board: board, reflectance: reflectance.freeze, uptake: record["uptake"] || 1.0,
              spots: record["spots"] || false, tannin: record["tannin"] || false, knots: record["knots"] || false,
              oily: record["oily"] || false, silica: record["silica"] || false, read: read,
              drift: { "30d" => record["drift_30d"], "2y" => record["drift_2y"] }.compact.freeze).freeze
        end

        def shape(record)
          curve = table.shapes.fetch(record.fetch("shape"))
          Spectrum::NM.map do |nm|
            curve["low"] +
              (curve["high"] - curve["low"]) / (1 + Math.exp(-(nm - curve["middle_nm"]) / (curve["width_nm"] / 2.0)))
          end
        end
      end

      # What a batch of timber may be unlike its kind.
      self::FACTS = %w[tannin knots oily spots silica].freeze

      # The same wood, as a batch of it is.
      # @param facts [Hash{String=>Boolean}, nil] of FACTS
      # @return [Wood]
      def but(facts)
        return self if facts.nil? || facts.empty?

        dup.tap { |batch| facts.each { |name, value| batch[name] = value } }.freeze
      end

      # @return [Boolean] with pores that hold old colour
      def open? = species.nil? || Reference.woods.woods.dig(species, "grain") != "closed"

      # The same wood after some time in the light.
      # @param time [String] "30d" or "2y"
      # @return [Wood, nil] nil where its drift is not known
      def aged(time)
        by = drift[time] or return
        dup.tap { |older|
          older.reflectance = Reflectance.from_lab(lab.zip(by).map(&:sum), Light.find("D65"), shape: reflectance).freeze
        }.freeze
      end

      # @return [Array(Float, Float, Float)] of the bare board
      def lab(light = Light.find("D65")) = Spectrum.lab(reflectance, light)
    end
  end
end
