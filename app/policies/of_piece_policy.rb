# What belongs to a piece goes with it; what belongs to none is nobody's own.
class OfPiecePolicy < ApplicationPolicy
  class Scope < Scope
    private

    def own = scope.where(piece: pieces)
  end

  private

  def own? = theirs?(record.piece)
end
