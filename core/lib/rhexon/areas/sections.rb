module Rhexon
  module Areas
    # A floor or another large area cut into sections whose live edge stays wet, in an order that ends at the exit,
    # with the material staged for each.
    class Sections
      # @!attribute x, y, width, height [Float] m
      Rectangle = Struct.new(:x, :y, :width, :height) do
        def area = width * height
        def centre = [ x + width / 2.0, y + height / 2.0 ]
        def far_from(point) = Math.hypot(centre[0] - point[0], centre[1] - point[1])

        # They share a stretch of an edge: one can be walked into from the other.
        def beside?(other)
          across = ([ x + width, other.x + other.width ].min - [ x, other.x ].max).round(6)
          along = ([ y + height, other.y + other.height ].min - [ y, other.y ].max).round(6)
          (across.zero? && along.positive?) || (along.zero? && across.positive?)
        end
      end

      # @!attribute live_edge_m [Float] length of the strip, which is the edge to keep wet
      # @!attribute begins_min  [Float] after the first section is begun
      # @!attribute ml          [Float] to stage, losses included
      Section = Struct.new(:number, :rectangle, :of, :live_edge_m, :area_m2, :minutes, :begins_min, :ml,
                           keyword_init: true)

      attr_reader :limit_m

      # @param rectangles [Array<Array(Numeric, Numeric, Numeric, Numeric)>] x, y, width, height in m
      # @param exit [Array(Numeric, Numeric)] where the last step leaves, m
      # @param limit_m [Float] longest live edge
      # @param rate_m2_per_h [Numeric]
      # @param ml_per_m2 [Numeric] laid on, losses included
      # @param strips [String] along: by the longer side of each part; x or y: with the boards
      # @raise [InvalidInput]
      def initialize(rectangles, exit:, limit_m:, rate_m2_per_h:, ml_per_m2:, strips: "along")
        Rhexon.refuse_unless(
          rectangles.any?, "A large area has at least one part", where: "rectangles",
          accepted: "x, y, width and height in m"
        )
        Rhexon.refuse_unless(
          limit_m >= LEAST_EDGE_M, "This dries too fast to keep an edge wet: #{format("%.2f", limit_m)} m",
          where: "limit_m", accepted: "a slower product, cooler or damper air, or more hands"
        )
        @parts = rectangles.each_with_index.map { |sides, index| part(sides, index) }
        refuse_overlaps
        @exit = exit.map(&:to_f)
        @limit_m = limit_m
        @rate = rate_m2_per_h
        @ml_per_m2 = ml_per_m2
        @strips = strips
      end

      LEAST_EDGE_M = 0.3

      # @return [Array<Section>] in working order
      def all = @all ||= number(in_order)

      def area_m2 = @parts.sum(&:area)
      def minutes = all.sum(&:minutes)
      def ml = all.sum(&:ml)

      # Parts that cannot be reached from the one with the exit without walking over wet work.
      # @return [Array<Integer>] indices
      def cut_off = @parts.each_index.to_a - steps_from_exit.keys

      private

      def part(sides, index)
        sound = sides.is_a?(Array) && sides.size == 4 && sides.all?(Numeric) && sides[2].between?(0.1, 500) &&
          sides[3].between?(0.1, 500)
        Rhexon.refuse_unless(
          sound, "Part #{index + 1} is no rectangle", where: "rectangles/#{index}",
          accepted: "x, y, width and height in m, sides of 0.1 to 500"
        )
        Rectangle.new(*sides.map(&:to_f)).freeze
      end

      def refuse_overlaps
        @parts.each_with_index.to_a.combination(2) do |(one, first), (other, second)|
          across = [ one.x + one.width, other.x + other.width ].min - [ one.x, other.x ].max
          along = [ one.y + one.height, other.y + other.height ].min - [ one.y, other.y ].max
          Rhexon.refuse_unless(across <= 1e-6 || along <= 1e-6,
                               "Parts #{first + 1} and #{second + 1} lie over each other",
                               where: "rectangles/#{second}", accepted: "parts that touch at most")
        end
      end

      # A part is cut across its strips into as many sections as keep the strip short enough.
      def cut(part)
        lengthwise = @strips == "along" ? part.width >= part.height : @strips == "x"
        length = lengthwise ? part.width : part.height
        count = (length / @limit_m - 1e-9).ceil
        each = length / count
        Array
          .new(count) { |index|
            lengthwise ? Rectangle.new(part.x + index * each, part.y, each,
                                       part.height) : Rectangle.new(part.x, part.y + index * each, part.width, each)
          }
          .map { |rectangle| [ rectangle, each ] }
      end

      # The parts farthest from the exit, counted in doorways, come first; within a part the farthest section.
      def in_order
        depth = steps_from_exit
        @parts.each_index
          .sort_by { |index| [ -(depth[index] || @parts.size), -@parts[index].far_from(@exit), index ] }
          .flat_map do |index|
            cut(@parts[index])
              .sort_by { |rectangle, _| [ -rectangle.far_from(@exit), rectangle.x, rectangle.y ] }
              .map { |rectangle, edge| [ index, rectangle, edge ] }
          end
      end

      # Doorways from the part with the exit to each other part.
      # @return [Hash{Integer=>Integer}]
      def steps_from_exit
        @steps_from_exit ||= begin
          first = @parts.each_index.min_by { |index| [ outside(@parts[index]), index ] }
          steps = { first => 0 }
          queue = [ first ]
          while (here = queue.shift)
            @parts.each_index do |other|
              if !steps.key?(other) && @parts[here].beside?(@parts[other])
                steps[other] = steps[here] + 1 and queue << other
              end
            end
          end
          steps
        end
      end

      # How far the exit lies outside a part.
      def outside(part)
        Math.hypot([ part.x - @exit[0], 0, @exit[0] - part.x - part.width ].max,
                   [ part.y - @exit[1], 0, @exit[1] - part.y - part.height ].max)
      end

      def number(ordered)
        begins = 0.0
        ordered.each_with_index.map do |(of, rectangle, edge), index|
          minutes = rectangle.area / @rate * 60
          Section
            .new(number: index + 1, rectangle: rectangle.freeze, of: of, live_edge_m: edge, area_m2: rectangle.area,
                 minutes: minutes, begins_min: begins, ml: rectangle.area * @ml_per_m2)
            .freeze
            .tap { begins += minutes }
        end
      end
    end
  end
end
