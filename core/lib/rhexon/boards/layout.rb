module Rhexon
  module Boards
    # Where the cells of a board lie, mm from its top left corner.
    module Layout
      Place = Struct.new(:x_mm, :y_mm, :width_mm, :height_mm, keyword_init: true)
      LEAST_MM = 25

      # @!attribute places [Array<Place>] of the cells, row by row
      # @!attribute tapes  [Array<Array(Symbol, Float, Float)>] :across (y) or :along (x), from and to, mm
      # @!attribute strips [Array<Place>] stages of a step strip, each with one more layer than the one before
      Sheet = Struct.new(:width_mm, :height_mm, :places, :tapes, :strips, keyword_init: true)

      module_function

      # Cells in rows, as near to square as the board lets them be, with a step strip along the right edge.
      # @param stages [Integer] of the step strip; 0: none
      # @return [Sheet]
      # @raise [InvalidInput] when the cells would be too small to judge
      def grid(width_mm:, height_mm:, margin_mm:, tape_mm:, cells:, stages: 0)
        strip_mm = stages.positive? ? [ LEAST_MM, width_mm / 8.0 ].max.round : 0
        room = width_mm - 2 * margin_mm - (stages.positive? ? strip_mm + tape_mm : 0)
        columns = (1..cells)
          .select { |count| fits?(room, height_mm - 2 * margin_mm, tape_mm, count, (cells / count.to_f).ceil) }
          .min_by { |count| oblong(room, height_mm - 2 * margin_mm, tape_mm, count, (cells / count.to_f).ceil) }
        Rhexon.refuse_unless(
          columns, "#{cells} cells do not fit a board of #{width_mm} x #{height_mm} mm", where: "cells",
          accepted: "cells of at least #{LEAST_MM} mm: a larger board, several boards, or fewer cells"
        )
        rows = (cells / columns.to_f).ceil
        width, height = side(room, tape_mm, columns), side(height_mm - 2 * margin_mm, tape_mm, rows)
        places = Array.new(cells) do |index|
          index.divmod(columns).then do |row, column|
            Place.new(x_mm: margin_mm + column * (width + tape_mm), y_mm: margin_mm + row * (height + tape_mm),
                      width_mm: width, height_mm: height)
          end
        end
        strips = strip(width_mm - margin_mm - strip_mm, margin_mm, strip_mm, height_mm - 2 * margin_mm, stages)
        Sheet.new(
          width_mm: width_mm, height_mm: height_mm, places: places,
          tapes: tapes(margin_mm, tape_mm, width, height, columns, rows) +
            (stages.positive? ? [
              [ :along, width_mm - margin_mm - strip_mm - tape_mm.to_f, width_mm - margin_mm - strip_mm.to_f ]
            ] : []),
          strips: strips
        ).freeze
      end

      # How many cells a board holds.
      # @return [Integer]
      def most(width_mm:, height_mm:, margin_mm:, tape_mm:)
        across, along = [ width_mm, height_mm ].map { |side|
          [ ((side - 2 * margin_mm + tape_mm) / (LEAST_MM + tape_mm).to_f).floor, 0 ].max
        }
        across * along
      end

      def side(room, tape_mm, count) = ((room - (count - 1) * tape_mm) / count.to_f * 2).floor / 2.0
      private_class_method :side

      def fits?(width, height, tape_mm, columns, rows)
        side(width, tape_mm, columns) >= LEAST_MM && side(height, tape_mm, rows) >= LEAST_MM
      end

      private_class_method :fits?

      # How far from square, counting empty places too.
      def oblong(width, height, tape_mm, columns, rows)
        Math.log(side(width, tape_mm, columns) / side(height, tape_mm, rows)).abs
      end

      private_class_method :oblong

      def strip(x_mm, y_mm, width_mm, height_mm, stages)
        each = stages.positive? ? (height_mm / stages.to_f * 2).floor / 2.0 : 0
        Array.new(stages) do |stage|
          Place.new(x_mm: x_mm, y_mm: y_mm + stage * each, width_mm: width_mm, height_mm: each)
        end
      end
      private_class_method :strip

      def tapes(margin_mm, tape_mm, width, height, columns, rows)
        (1...columns).map do |column|
          (margin_mm + column * width + (column - 1) * tape_mm).then { |x| [ :along, x, x + tape_mm ] }
        end +
          (1...rows).map do |row|
            (margin_mm + row * height + (row - 1) * tape_mm).then { |y| [ :across, y, y + tape_mm ] }
          end
      end
      private_class_method :tapes

      # A row of cells of one width with tape between them, inside a margin.
      # @return [Array<Place>] left to right, widths to 0.5 mm
      # @raise [InvalidInput] when the cells would be too narrow to judge
      def row(width_mm:, height_mm:, margin_mm:, tape_mm:, cells:)
        return [] if cells.zero?

        width = ((width_mm - 2 * margin_mm - (cells - 1) * tape_mm) / cells.to_f * 2).floor / 2.0
        height = height_mm - 2 * margin_mm
        most = (width_mm - 2 * margin_mm + tape_mm) / (LEAST_MM + tape_mm)
        Rhexon.refuse_unless(width >= LEAST_MM && height >= LEAST_MM,
                             "#{cells} cells do not fit a board of #{width_mm} x #{height_mm} mm",
                             where: "cells", accepted: "cells of at least #{LEAST_MM} mm, so at most " \
                                                       "#{[ most, 0 ].max} here")
        Array.new(cells) do |index|
          Place.new(x_mm: margin_mm + index * (width + tape_mm), y_mm: margin_mm, width_mm: width, height_mm: height)
        end
      end
    end
  end
end
