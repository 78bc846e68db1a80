module Rhexon
  module Boards
    # Where the cells of a board lie, mm from its top left corner.
    module Layout
      Place = Struct.new(:x_mm, :y_mm, :width_mm, :height_mm, keyword_init: true)
      LEAST_MM = 25

      module_function

      # A row of cells of one width with tape between them, inside a margin.
      # @return [Array<Place>] left to right, widths to 0.5 mm
      # @raise [Refusal] when the cells would be too narrow to judge
      def row(width_mm:, height_mm:, margin_mm:, tape_mm:, cells:)
        return [] if cells.zero?

        width = ((width_mm - 2 * margin_mm - (cells - 1) * tape_mm) / cells.to_f * 2).floor / 2.0
        height = height_mm - 2 * margin_mm
        most = (width_mm - 2 * margin_mm + tape_mm) / (LEAST_MM + tape_mm)
        Rhexon.refuse_unless(width >= LEAST_MM && height >= LEAST_MM, "#{cells} cells do not fit a board of #{width_mm} x #{height_mm} mm",
                             where: "cells", accepted: "cells of at least #{LEAST_MM} mm, so at most #{[ most, 0 ].max} here")
        Array.new(cells) { |index| Place.new(x_mm: margin_mm + index * (width + tape_mm), y_mm: margin_mm, width_mm: width, height_mm: height) }
      end
    end
  end
end
