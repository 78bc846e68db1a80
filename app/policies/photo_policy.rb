class PhotoPolicy < ApplicationPolicy
  private

  def own? = theirs?(record.piece || record.entry&.piece || record.cell&.board)
end
