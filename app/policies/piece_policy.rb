class PiecePolicy < ApplicationPolicy
  class Scope < Scope
    private

    def own = scope.where(person: person)
  end

  private

  def own? = record.person_id == person.id
end
