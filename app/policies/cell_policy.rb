class CellPolicy < ApplicationPolicy
  class Scope < Scope
    private

    def own = scope.where(board: Board.where(piece: pieces))
  end

  private

  def own? = theirs?(record.board)
end
