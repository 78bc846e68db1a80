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
    @piece.given.where(job: Job.in_hand).includes(:person).sort_by { |one| [ one.person&.name.to_s, one.id ] }
  end

  # @param names [Array<String>] those who are not known yet begin with the shop's hours
  # @param count [Integer] alike pieces for each
  # @return [Array<Piece>]
  # @raise [Rhexon::InvalidInput]
  def give!(names, count:)
    names = names.map { |name| name.to_s.strip }.reject(&:empty?).uniq
    check!(names, count)
    known = pieces.to_set { |one| one.person&.name }
    Piece.transaction { (names - known.to_a).map { |name| to(person(name), count) } }
  end

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

  def person(name)
    found = Person.find_by(name: name) || Person.create!(name: name, role: "student")
    found.update!(at_bench: true) unless found.at_bench
    found
  end

  def to(person, count)
    lasting = @piece.attributes.slice("job_id", "wood", "wood_like", "timber_id", "use", "arris", "ready_at", "look",
                                      "target_lab", "sheen_low", "sheen_high", "light", "pores", "sketch")
    faces = @piece.faces.map { |face| Face.new(face.attributes.except("id", "piece_id")) }
    piece = Piece.create!(**lasting, name: "#{@piece.name}, #{person.name}", count: count, person: person,
                                     given_from: @piece, faces: faces)
    piece.schedule.give!(@piece.schedule)
    piece
  end
end
