module Rhexon
  module Areas
    # A floor, hall or wall that is laid on in sections with a product, in the air of one moment: how far an edge stays
    # wet, what each section takes, and which can serves which.
    class Floor
      TOOLS = Reference.hands.strip_m.keys.freeze
      STRIPS = %w[along x y].freeze
      MOST_PARTS = 40
      # A can, and the sections it is opened for.
      # @!attribute ml [Numeric]
      # @!attribute sections [Array<Integer>] numbers; a section that is begun from one can may be ended from the next
      Can = Struct.new(:number, :ml, :sections)

      class << self
        # @param sketch [Hash] "parts" [[x, y, width, height]], "exit" [x, y], "tool", "strips"; m
        # @return [Hash] the same
        # @raise [InvalidInput]
        def check!(sketch)
          known = sketch.is_a?(Hash) && sketch["parts"].is_a?(Array) && sketch["parts"].size.between?(1, MOST_PARTS)
          Rhexon.refuse_unless(known, "A large area has 1 to #{MOST_PARTS} parts", where: "parts")
          place = sketch["exit"]
          inside = place.is_a?(Array) && place.size == 2 &&
            place.all? { |side| side.is_a?(Numeric) && side.between?(-1000, 1000) }
          Rhexon.refuse_unless(inside, "The exit is a place in the sketch", where: "exit", accepted: "x and y in m")
          one_of!(sketch["tool"], TOOLS, "That is no tool for a large area", "tool")
          one_of!(sketch["strips"], STRIPS, "Strips run along the longer side, across or up the sketch", "strips")
          Sections.new(sketch["parts"], exit: place, limit_m: 1, rate_m2_per_h: 1, ml_per_m2: 1)
          sketch
        end

        # @return [Float] m²
        def area_m2(sketch) = sketch["parts"].sum { |_, _, width, height| width * height }

        # @return [String] brush or roller: the floor applicator leaves what a roller leaves
        def method(tool) = tool == "applicator" ? "roller" : tool

        # @return [Numeric] m² an hour
        def rate(tool) = Reference.hands.floor_rate_m2_per_h.fetch(tool)

        private

        def one_of!(given, known, sentence, where)
          Rhexon.refuse_unless(known.include?(given), sentence, where: where, accepted: known.join(", "))
        end
      end

      attr_reader :sketch

      # @param sketch [Hash] as {check!} takes it
      # @param product [Materials::Product]
      # @param climate [Drying::Climate]
      # @param wet_um [Numeric, nil] left on; nil: consumption, or what its tool usually leaves
      # @param rate_m2_per_h [Numeric, nil] nil: as usual with the tool
      def initialize(sketch, product:, climate:, wet_um: nil, rate_m2_per_h: nil)
        @sketch = sketch
        @product = product
        @climate = climate
        @wet_um = wet_um
        @rate = rate_m2_per_h || self.class.rate(sketch["tool"])
      end

      # @return [Float, nil] min in this air; nil: its sheet gives no open time, and neither does its class
      def open_min = @open_min ||= WetEdge.open_min(@product, @climate)

      # @return [Float] longest edge that stays wet, m
      def limit_m = WetEdge.longest_m(rate_m2_per_h: @rate, open_min: open_min, strip_m: strip_m)

      # @return [Float] width of one strip of the tool, m
      def strip_m = Reference.hands.strip_m.fetch(@sketch["tool"])

      # @return [Boolean] whether an edge can be kept wet at all
      def keeps_wet? = !open_min.nil? && limit_m >= Sections::LEAST_EDGE_M

      # @return [Sections]
      # @raise [InvalidInput] where it dries too fast to keep an edge wet
      def sections
        @sections ||= Sections.new(
          @sketch["parts"], exit: @sketch["exit"], limit_m: limit_m, rate_m2_per_h: @rate, ml_per_m2: ml_per_m2,
                            strips: @sketch["strips"]
        )
      end

      # Section by section out of the largest can there is.
      # @return [Array<Can>] empty where its page names no packs
      def cans
        size = @product.packs.filter_map { |pack| pack["ml"] }.max or return []
        used = 0.0
        sections.all.each_with_object([]) do |section, list|
          first, used = (used / size + 1e-9).floor, used + section.ml
          (first..((used - 1e-6) / size).floor).each do |index|
            list << Can.new(index + 1, size, []) if list.size <= index
            list[index].sections << section.number
          end
        end
      end

      private

      def ml_per_m2
        return @product.consumption_ml_per_m2.to_f if @wet_um.nil? && @product.consumption_ml_per_m2

        method = self.class.method(@sketch["tool"])
        Mixing::Laying.for_area(area_m2: 1.0, wet_um: @wet_um || @product.wet_um(method).value, method: method,
                                left_behind_ml: 0).gross_ml
      end
    end
  end
end
