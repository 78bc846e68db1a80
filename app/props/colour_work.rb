# A recipe of the colour desk as work of a schedule: what carries it, where it goes, and the step it becomes.
class ColourWork
  TAKES = { piece_id: :whole, kind: :name, carrier: :name, method: :name, grams: :table, batch_g: :any, after: :name,
            replace: :name }.freeze

  # @param piece [Piece]
  # @param kind [String] of Rhexon::Colour::RecipeStep::KINDS
  # @return [Hash] ColourWorkChoices: the steps of the piece, where it would go, steps of the kind that are not begun,
  #   what may carry it and how
  def self.choices(piece, kind)
    steps = piece.schedule.steps
    names = Shelf.products.transform_values(&:name)
    { steps: steps.map { |step| [ step["id"], Rhexon::Schedule::Words.step(step, names[step["product"]]) ] },
      after: Rhexon::Colour::RecipeStep.after({ "steps" => steps }, kind),
      same: steps.select { |step| same?(step, kind) }.map { |step| step["id"] } - begun(piece),
      carriers: carriers(kind, steps).map { |product|
        methods = kind == "mend" ? [] : Rhexon::Schedule::Kinds.methods(kind, product)
        { id: product.id, name: product.name, methods: methods }
      } }
  end

  # A recipe may take its place: putty is no touch-up.
  def self.same?(step, kind) = step["kind"] == kind && (kind != "mend" || step["way"] == "touch_up")

  # What the schedule lays on already goes before what the shelf has beside it.
  def self.carriers(kind, steps)
    used = steps.map { |step| step["product"] }
    Rhexon::Colour::RecipeStep.carriers(kind, Shelf.products.values)
      .partition { |product| used.include?(product.id) }.flatten
  end

  def self.begun(piece) = Schedule::FrozenPasses.new(piece, piece.schedule.document).begun
  private_class_method :same?, :carriers, :begun

  # @param piece [Piece, nil]
  # @param step_id [String, nil]
  # @return [Hash, nil] the step that a colour is sought for, and how the surface looks before it
  def self.sought(piece, step_id)
    step = piece && piece.schedule.steps.find { |one| one["id"] == step_id } or return
    kind = Rhexon::Colour::RecipeStep::KINDS.include?(step["kind"]) ? step["kind"] : "stain"
    { step: step["id"], kind: kind, lab: (lab_before(piece, step_id) unless kind == "stain") }
  end

  def self.lab_before(piece, step_id)
    LooksState.of_piece(piece, piece.schedule.steps.take_while { |one| one["id"] != step_id }).last_lab
  end
  private_class_method :lab_before

  # @param body [Hash] as TAKES says
  def initialize(piece, body)
    @piece = piece
    @body = body
    self.class.check_kind!(kind)
  end

  # @raise [Rhexon::InvalidInput]
  def self.check_kind!(kind)
    kinds = Rhexon::Colour::RecipeStep::KINDS
    Rhexon.refuse_unless(kinds.include?(kind), "A recipe becomes a stain, a toner, a glaze or a touch-up",
                         where: "kind", accepted: kinds.join(", "))
  end

  # @return [Hash] of Rhexon::Schedule::Edit
  def operation
    if @body["replace"].present?
      { "op" => "change_step", "id" => @body["replace"],
        "set" => { "tint" => nil, **(kind == "stain" ? { "strength_percent" => nil } : {}), **fields,
                   **(kind == "mend" ? { "way" => "touch_up" } : { "method" => method }) } }
    else
      { "op" => "add_step", "after" => @body["after"].presence, "step" => { "id" => id, "kind" => kind, **step } }
    end
  end

  # @return [String] id of the step it becomes
  def id = @body["replace"].presence || Rhexon::Schedule::Edit.free_id(@piece.schedule.document)

  private

  def kind = @body["kind"]
  def product = Shelf.products.fetch(fields["product"])
  def step
    return { **fields, **Rhexon::Proposals::NewSteps.set("mend"), "way" => "touch_up" } if kind == "mend"

    { **fields, "method" => method, **(film? ? film : {}) }
  end

  def film? = Rhexon::Work::Kind.find(kind).film?
  def film = { "coats" => 1, **Rhexon::Colour::RecipeStep.laid(kind, product) }

  def fields
    @fields ||= Rhexon::Colour::RecipeStep.fields(shares, carrier: carrier, products: Shelf.products)
  end

  def carrier
    return if kind == "stain" && Rhexon::Colour::RecipeStep.carried?(shares.keys, Shelf.products)

    Shelf.products[@body["carrier"]]
  end

  # One that the product takes; where none was chosen, its usual one.
  def method
    known = Rhexon::Schedule::Kinds.methods(kind, product)
    Rhexon.refuse_unless(known.any?, "#{product.name} is not laid on as a #{kind}", where: "carrier")
    known.include?(@body["method"]) ? @body["method"] : known.first
  end

  def shares
    @shares ||= begin
      grams = (@body["grams"] || {}).select { |_, g| g.is_a?(Numeric) && g.positive? }
      total = @body["batch_g"]
      Rhexon.refuse_unless(grams.any? && total.is_a?(Numeric) && total >= grams.values.sum,
                           "The recipe is not whole", where: "grams", accepted: "grams of each, within the batch")
      unknown = grams.keys.find { |name| !Shelf.products.key?(name) }
      Rhexon.refuse_unless(unknown.nil?, "The recipe names #{unknown}, which is not on the shelf", where: "grams")
      grams.transform_values { |g| g / total.to_f }
    end
  end
end
