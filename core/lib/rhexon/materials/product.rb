module Rhexon
  module Materials
    # A product as the core reckons with it: its own figures where its sheet gives them, the class default elsewhere.
    class Product
      MILESTONES = %w[
        dust_safe touch recoat_opens recoat_closes sand handle stack rub_out full_cure wipe_off_earliest wipe_off_latest
        flash_min flash_max soft_earliest soft_latest
      ].freeze
      # Classes that go into a mix and are not laid on by themselves.
      HELPERS = %w[hardener thinner flake colourant].freeze
      TO_BUY = "buy:".freeze
      OILS = %w[siccative_oil raw_oil hardwax_oil].freeze
      FILLERS = %w[paste_filler_oil waterborne_filler].freeze
      FILLING_ROLES = [ "pore filler", "putty" ].freeze
      FAMILIES = { "shellac" => "shellac", "nitro_lacquer" => "lacquer", "vinyl_sealer" => "lacquer" }.freeze

      # Products read lately: a shop is planned again and again with the same shelf.
      @kept = Cache.new(400)
      # The same by the frozen record itself, which spares reading it through to know it again.
      @same = ObjectSpace::WeakMap.new

      # A product of rhexon-shop/1, checked against its schema.
      # @return [Product]
      # @raise [InvalidInput]
      def self.read(record)
        known = @same[record] and return known

        product = @kept.fetch(record) do
          Schema.check_record!("products", record)
          new(record)
        end
        @same[record] = product if record.frozen?
        product
      end

      attr_reader :id, :name, :maker, :class_id, :mechanism, :carrier, :role, :colour

      # @param record [Hash{String=>Object}] a product of rhexon-shop/1
      # @raise [InvalidInput] when the mechanism or class is not known
      def initialize(record)
        @record = Reference.freeze_deep(record)
        @id = record.fetch("id")
        @name = record["name"] || @id
        @maker = record["maker"]
        @class_id = record["class"] || stand_in
        @defaults = classes.classes.fetch(@class_id) { refuse_class }
        @mechanism = record["mechanism"] || @defaults.fetch("mechanism")
        @carrier = record["carrier"] || @defaults.fetch("carrier")
        @role = record["role"]
        @colour = record["colour"] || "clear"
        @figures = {}
        @groups = {}
        freeze
      end

      # @param method [String, nil] where the sheet gives times per method, those of this one
      # @return [Figure, nil] minutes at the sheet's climate; its value is nil when there is no such limit,
      #   and there is no figure at all when the milestone does not apply. Dust-safe is half of touch unless the sheet
      #   says so.
      def milestone(name, method = nil)
        return @figures[[ name, method ]] if @figures.key?([ name, method ])

        @figures[[ name, method ]] = by_method(name, method) || figure("milestones_min", name) ||
          (name == "dust_safe" ? half_of_touch(method) : nil)
      end

      # @return [Boolean] its sheet states the time of a milestone, or of touch, of which dust-safe is half
      def states?(name, method)
        figure = milestone(name == "dust_safe" ? "touch" : name, method)
        !figure.nil? && !figure.estimate
      end

      # The wet film that a milestone's time is for: what a sheet states holds up to the film of the method, a time of
      # the class up to the thickest that it lists.
      # @return [Numeric, nil] µm
      def stated_wet_um(name, method)
        own = wet_um(method)&.value if states?(name, method)
        own || [ @defaults["wet_um"], @record["wet_um"] ].find { |films| films&.any? }&.values&.max
      end

      # Recoated while it is tacky: its sheet, or its class, opens it before touch.
      def tacky_recoat?
        own = (@record["milestones_min"] || {}).values_at("recoat_opens", "touch").compact
        opens, touch = own.size == 2 ? own : (@defaults["milestones_min"] || {}).values_at("recoat_opens", "touch")
        !opens.nil? && !touch.nil? && opens < touch
      end

      # @return [Figure, nil] wet film left on by a method, µm
      def wet_um(method) = figure("wet_um", method)

      def methods_known = (@defaults["wet_um"] || {}).merge(@record["wet_um"] || {}).keys

      def solids_volume_percent = figure("solids_volume_percent")
      def density_g_per_ml = figure("density_g_per_ml")
      def sheen_gu = figure("sheen_gu")
      def minimum_film_c = figure("minimum_film_c")
      def least_air_c = figure("least_air_c")
      def caution_air_c = figure("caution_air_c")

      def pot_life_min = figure("pot_life_min")
      # @return [Figure, nil] minutes an edge stays wet
      def open_time_min = figure("open_time_min")

      # Temperature the pot life is stated at, °C.
      def pot_life_t_c = 20

      # Pot life at both ends of the hardener range, where the sheet gives them.
      # @return [Array<Array(Numeric, Numeric)>, nil] [[fewest parts, min], [most parts, min]]
      def pot_life_by_hardener = @record["pot_life_by_hardener"]&.sort_by(&:first)

      # How much longer it cures with a share of hardener than at the full cure of its sheet: linear between both
      # ends, where the sheet gives them.
      # @param parts [Numeric, nil] what is mixed in
      # @return [Float] time factor of handle, stack, rub-out and full cure
      def cure_factor(parts)
        ends = @record["cure_by_hardener"]&.sort_by(&:first)
        sheet = milestone("full_cure")&.value
        return 1.0 unless ends && parts && sheet&.positive?

        (low, longest), (high, shortest) = ends
        (longest + (shortest - longest) * (parts.clamp(low, high) - low) / (high - low).to_f) / sheet
      end

      # Laid on by wiping, first or later coat; most of it is wiped off again.
      # @return [Numeric, nil] ml/m²
      def consumption_ml_per_m2(later: false)
        figure("consumption_ml_per_m2")&.value&.then { |first, other| later ? other : first }
      end

      def consumption_stated? = figure("consumption_ml_per_m2")&.estimate == false

      # What it is mixed with, in order of addition: components of rhexon-mix/1 that name products.
      # @return [Array<Hash>]
      def mix = @record["mix"] || []

      # What a jar of it is made of, where the shop makes it: components of rhexon-mix/1, the base first.
      # @return [Array<Hash>]
      def made_of = @record["made_of"] || []

      # @param figures [Hash{String=>Numeric}] reckoned from what is known otherwise
      # @param source [String]
      # @return [Product] the same with them
      def reckoned(figures, source)
        sources = (@record["sources"] || {}).merge(figures.transform_values { source })
        Product.read(@record.merge(figures, "sources" => sources))
      end

      # Stirring, resting and straining the sheet asks for.
      # @return [Array<Hash>] {"after" (a component's role, or nil: at the end), "do", "min"}
      def mix_steps = @record["mix_steps"] || []
      def thinner_id = @record["thinner"]
      # @return [Array(Numeric, Numeric), nil] % by volume, of the base or of the total
      def thinning_range_percent = @record["thinning_range_percent"]
      def thinning_of = @record["thinning_of"] || "base"
      def efflux = @record["efflux"] || []
      def voc_ready_g_per_l = @record["voc_ready_g_per_l"]
      def voc_less_water_g_per_l = @record["voc_less_water_g_per_l"]
      # @return [Boolean] it stands for what would be bought, and is not on the shelf
      def to_buy? = id.start_with?(TO_BUY)
      # @return [Boolean] figures of a sheet were taken in
      def sheet? = !@record["source"].nil?
      # @return [Array<Hash>] {"g" or "ml", "price"}
      def packs = @record["packs"] || []
      def shelf_life_months = @record["shelf_life_months"] || {}
      # @return [Hash, nil] what it does to light, of rhexon-shop/1
      def optics = @record["optics"]
      def water_percent = @record["water_percent"] || 0
      def dyed? = @record["dyed"] == true
      def pale? = @record["pale"] == true
      # Known by the log and by schedules, and not offered any more.
      def retired? = @record["retired"] == true
      def hardener? = class_id == "hardener"
      def isocyanate? = %w[solvent_two_part waterborne_two_part].include?(class_id)

      def sheet_t_c = (@record["sheet_at"] || classes.sheet_at).fetch("t_c")
      def sheet_rh = (@record["sheet_at"] || classes.sheet_at).fetch("rh")
      def waterborne? = carrier == "water"
      def moisture_cure? = @record["moisture_cure"] == true
      def waxy? = @record["waxy"] == true
      def film? = !%w[penetrating wax helper].include?(mechanism)
      # Hardener, thinner, flake, colourant: goes into a mix and is not laid on by itself.
      def helper? = mechanism == "helper"
      def redissolves? = mechanism == "evaporative"
      def coloured? = %w[tinted pigmented].include?(colour) || !film?

      # Coats of one family melt together; other mechanisms have none.
      def family = redissolves? ? FAMILIES.fetch(class_id, class_id) : nil

      # Oil that is rubbed in: it is not asked for a least film.
      def oil? = OILS.include?(class_id)
      # Fills pores and is cut back.
      def filler? = FILLERS.include?(class_id) || FILLING_ROLES.include?(role)

      # Penetrating oil stain hardens like oil, dye dries like what carries it; of wax only the solvent leaves.
      def drying_mechanism
        return "evaporative" if mechanism == "wax"
        return mechanism unless mechanism == "penetrating"

        { "water" => "coalescing", "alcohol" => "evaporative" }.fetch(carrier, "oxidative")
      end

      # Rate group of a milestone, e.g. "reactive_water.early"; a sheet that is not stated at 20 °C, 50 % says so.
      def rate_group(phase) = @groups[phase] ||= group(phase)

      # The film that the sheet's rub-out and full cure of an evaporative stack are meant for, µm dry.
      def finished_um = figure("finished_um")&.value

      # What the sheet says of the wait under another material: by its code, its class, or what carries it.
      # @param upper [Product]
      # @return [Numeric, nil] minutes at the sheet's climate
      def pair_wait_min(upper)
        waits = @record["waits_under_min"] or return
        [ upper.id, upper.class_id, *Pairs.names_of(upper) ].filter_map { |name| waits[name] }.first
      end

      def to_h = @record

      private

      def group(phase)
        base = if mechanism == "reactive" || mechanism == "penetrating"
          "#{mechanism}_#{carrier}#{"_moisture" if moisture_cure?}"
        else
          mechanism
        end
        reference = sheet_t_c == 20 && sheet_rh == 50 ? "" : "@#{sheet_t_c}C#{sheet_rh}"
        "#{base}#{reference}.#{phase}"
      end

      def figure(*path)
        given = path.size == 1 ? @record : @record[path.first]
        key = path.last
        if given&.key?(key)
          return Figure.new(value: given[key], source: source(path.join(".")), estimate: estimate?(path.join(".")))
        end

        default = path.size == 1 ? @defaults : @defaults[path.first]
        Figure.new(value: default[key], source: classes.source, estimate: true) if default&.key?(key)
      end

      def by_method(name, method)
        value = @record.dig("milestones_by_method_min", method, name) or return
        Figure.new(value: value, source: source("milestones_by_method_min"),
                   estimate: estimate?("milestones_by_method_min"))
      end

      def half_of_touch(method)
        touch = milestone("touch", method) or return
        Figure.new(value: touch.value / 2.0, source: "half of touch: #{touch.source}", estimate: true)
      end

      def source(path) = @record.dig("sources", path) || @record["source"] || "given with the product"
      def estimate?(path) = source(path).match?(/estimate/i)

      def stand_in
        by_carrier = classes.stand_ins[@record["mechanism"]] or refuse_class
        by_carrier[@record["carrier"]] || by_carrier.fetch("default")
      end

      def refuse_class
        raise InvalidInput.new(
          "Product #{@record["id"]} is of no class or mechanism that Rhexon knows",
          where: "products/#{@record["id"]}/class", accepted: classes .classes.keys.join(", ")
        )
      end

      def classes = Reference.classes
    end
  end
end
