# A board on paper, 1:1; as SVG the drawing alone.
class Boards::SheetsController < ApplicationController
  include OfBoard

  def show
    respond_to do |format|
      format.any(:pdf, :html) do
        sheet = Board::Sheet.new(board, board_url(board), paper: query(:paper))
        send_data sheet.pdf, filename: "#{board.name.parameterize}.pdf",
                                                               type: "application/pdf", disposition: "inline"
      end
      format.svg { render body: Board::Drawing.new(board).svg, content_type: "image/svg+xml" }
    end
  end
end
