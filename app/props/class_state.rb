# A class at work on what was given to it.
class ClassState
  # @param piece [Piece] that was given
  def initialize(piece)
    @piece = piece
  end

  # @return [Hash] ClassPage
  def to_h
    ClassPageSerializer.new(
      { piece: { id: @piece.id, name: @piece.name, count: given.first&.count || @piece.count }, steps: room.steps,
        places: room.places.map { |one| place(one) }, racks: room.racks.map(&:to_h), people: people,
        removed: Piece::ClassGiven.new(@piece).removed?,
        may_lend_tools: Current.role == "owner" && Tool.offered.any? || false,
        now: floor.now.to_i / 60, zone: Shop.current.zone }
    ).to_h
  end

  private

  def floor = @floor ||= ShopFloor.new
  def given = @given ||= Piece::ClassGiven.new(@piece).pieces
  def room = @room ||= floor.draw { |plan| Rhexon::Picture::ClassRoom.new(plan, given.map(&:core_id)) }

  # Those who do not have it yet.
  def people = Person.at_bench.pluck(:name) - given.filter_map { |one| one.person&.name }

  def place(one)
    piece = given.find { |candidate| candidate.core_id == one.piece }
    { id: piece.id, person: one.person || piece.name, states: one.states, done: one.done, behind: one.behind,
      words: one.row&.label, status: one.row&.status, at: one.row&.hands_start,
      dries: one.dries && %i[room since until].zip(one.dries).to_h, ready_at: one.ready_at }
  end
end
