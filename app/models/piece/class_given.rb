# A piece and its schedule given to many people: each has one of their own, which only their hands are planned for.
class Piece::ClassGiven
  # So many people in one class.
  MOST = 60
  NAME = 80

  # @param piece [Piece] that is given
  def initialize(piece)
    @piece = piece
  end

  # @return [Array<Piece>] that were given, by person
  def pieces
    @piece.given.in_hand.includes(:person).sort_by { |one| [ one.person&.name.to_s, one.id ] }
  end

  # @param names [Array<String>] those who are not known yet begin with the shop's hours
  # @param count [Integer] alike pieces for each
  # @param tools [Boolean] whether the class may use the tools of the shop
  # @return [Array<Piece>]
  # @raise [Rhexon::InvalidInput]
  def give!(names, count:, tools: false)
    @tools = tools
    names = names.map { |name| name.to_s.strip }.reject(&:empty?).uniq
    check!(names, count)
    known = pieces.to_set { |one| one.person&.name }
    Piece.transaction { (names - known.to_a).map { |name| to(person(name), count) } }
  end

  # The whole class is taken off the piece. Students who came for it alone are away then.
  def remove!
    all = pieces
    Piece.transaction do
      Piece::Removal.new(all).remove!
      students(all).each { |person| person.update!(at_bench: false) if Piece.in_hand.where(person: person).none? }
    end
  end

  # What was taken off together last comes back together.
  def restore!
    last = @piece.given.put_away.maximum(:put_away_at) or return
    all = @piece.given.put_away.where(put_away_at: last).includes(:person).to_a
    Piece.transaction do
      Piece::Removal.new(all).restore!
      students(all).each { |person| person.update!(at_bench: true) }
    end
  end

  # @return [Boolean] whether a class was taken off it that can come back
  def removed? = @piece.given.merge(Piece.where(id: Piece::Removal.offered)).any?

  private

  def check!(names, count)
    Rhexon.refuse_unless(@piece.schedule.steps.any?, "There is nothing in the schedule yet to give",
                         where: "piece", accepted: "a schedule with steps")
    Rhexon.refuse_unless(names.any? && names.all? { |name| name.size <= NAME }, "Say who gets it", where: "names",
                         accepted: "names of up to #{NAME} letters, one to a line")
    Rhexon.refuse_unless(names.size <= MOST, "#{names.size} people are too many for one class", where: "names",
                         accepted: "up to #{MOST}")
    Rhexon.refuse_unless(count.is_a?(Integer) && count.between?(1, 100), "That many alike cannot be given",
                         where: "count", accepted: "1 to 100")
  end

  # Who is new is a student: no hands for the work of the shop, and trained for nothing where its tools are not theirs.
  def person(name)
    found = Person.find_by(name: name) ||
      Person.create!(name: name, role: "student", own_pieces_only: true, skills: @tools ? nil : [])
    found.update!(at_bench: true) unless found.at_bench
    found
  end

  def students(pieces) = pieces.filter_map(&:person).uniq.select(&:own_pieces_only)

  def to(person, count)
    lasting = @piece.attributes.slice("job_id", "wood", "wood_like", "timber_id", "use", "arris", "shape", "ready_at",
                                      "look", "target_lab", "sheen_low", "sheen_high", "light", "pores", "sketch")
    faces = @piece.faces.map { |face| Face.new(face.attributes.except("id", "piece_id")) }
    piece = Piece.create!(**lasting, name: "#{@piece.name}, #{person.name}", count: count, person: person,
                                     given_from: @piece, faces: faces, shop_tools: @tools || !person.own_pieces_only)
    piece.schedule.give!(@piece.schedule)
    piece
  end
end
