# Schedules and cells that are put into the recipe book.
class Template::Kept
  # @param name [String, nil] of a new recipe
  # @param says [String, nil] what it is for
  # @param into [Template, nil] as its next version
  def initialize(name: nil, says: nil, into: nil)
    @into = into
    @name = into ? into.name : name.to_s.strip
    @says = says.presence || (into&.latest&.document || {})["says"]
  end

  # @param piece [Piece]
  # @return [Template]
  # @raise [Rhexon::InvalidInput]
  def piece!(piece)
    plan = ShopFloor.new.plan_of(piece)
    film = Rhexon::Compare::Alternative.new(plan, piece.core_id, piece.name).film_um if piece.schedule.steps.any?
    keep!(plan.piece(piece.core_id), film, "From #{piece.name}")
  end

  # @param cell [Cell] the winner of a board
  # @return [Template]
  # @raise [Rhexon::InvalidInput]
  def cell!(cell)
    board = cell.board
    faces = { "board" => { "area_m2" => cell.area_m2, "wood" => board.grain } }
    document = Rhexon::Schedule::Document.empty.merge("steps" => cell.layers)
    made_on = Rhexon::Planning::Piece.new(faces: faces, named_wood: board.wood, schedule: document)
    keep!(made_on, nil, "From cell #{cell.label} of #{board.name}")
  end

  private

  def keep!(made_on, film_um, reason)
    Rhexon.refuse_unless(@name.present?, "Name the recipe", where: "name", accepted: "1 to 80 letters")
    refuse_taken!
    made = Rhexon::Templates::Template.of_piece(name: @name, says: @says, piece: made_on, products: Shelf.products,
                                                film_um: film_um)
    (@into || Template.new).tap { |template| template.keep!(made, reason) }
  end

  def refuse_taken!
    return if @into || !Template.exists?(name: @name)

    raise Rhexon::InvalidInput.new("There is a recipe of that name in the book", where: "name",
                                   accepted: "another name, or its next version")
  end
end
