# A job of several people's pieces tells of each of them.
class JobPolicy < ApplicationPolicy
  class Scope < Scope
    private

    # Those with a piece of theirs, of which the others are left out.
    def own = scope.where(id: pieces.select(:job_id))
  end

  private

  def own? = record.pieces.all? { |piece| theirs?(piece) }
end
