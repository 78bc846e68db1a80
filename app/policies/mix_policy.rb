# A pot for several people's coats is in the hands of whoever runs the bench.
class MixPolicy < ApplicationPolicy
  class Scope < Scope
    private

    def own = scope.where(id: scope.select { |mix| MixPolicy.new(person, mix).use? })
  end

  private

  def own?
    record.pass_keys.any? && record.pass_keys.all? { |key| theirs?(Piece.find_by(id: Piece.id_of(key[%r{\A[^/]+}]))) }
  end
end
