# Whether somebody may use a record, loaded already. Roles say which actions they may ask for at all (Access::ROLES);
# of those, a student's reach what is theirs. Nobody signed in: the shop itself, at work by itself or from the command
# line; requests of nobody get no further than Access::OPEN.
class ApplicationPolicy
  attr_reader :person, :record

  def initialize(person, record)
    @person = person
    @record = record
  end

  def use? = !person&.student? || own?

  # Which records of a kind somebody may use.
  class Scope
    attr_reader :person, :scope

    def initialize(person, scope)
      @person = person
      @scope = scope
    end

    # @return [ActiveRecord::Relation]
    def resolve = person&.student? ? own : scope.all

    private

    # Pieces of whoever asks.
    def pieces = Piece.where(person: person)
  end

  private

  # @param of [ActiveRecord::Base, nil]
  def theirs?(of) = !of.nil? && Pundit.policy!(person, of).use?
end
