# A client's approval of the look of a cell: the sheet to sign, and the approval.
class Cells::ApprovalsController < ApplicationController
  include OfCell
  include NamesPiece

  takes :create, client_id: :id, name: :name, light: :name

  def show
    send_data Approval::Sheet.new(cell, board_url(board), paper: query(:paper)).pdf,
              filename: "approval-#{board.name.parameterize}-#{cell.label}.pdf", type: "application/pdf",
              disposition: "inline"
  end

  def create
    Rhexon.refuse_unless(board.piece, "The board is for no piece, so there is nothing to approve it for",
                         where: "piece", accepted: "a board of a piece")
    Approval.record!(board.piece, body, cell: cell)
    answer
  end

  private

  def worked_on = board.piece
end
