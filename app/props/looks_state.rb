# The look after every step, in every light, as pages draw it.
class LooksState
  # Looks reckoned lately, by wood, steps and shelf: pages show the same cells again and again.
  @kept = Rhexon::Cache.new(300)

  # @yieldreturn [Array<Rhexon::Colour::Looks::Stage>]
  def self.kept(key, &reckoned) = @kept.fetch(key, &reckoned)

  # @param wood [String] as the piece or board names it
  # @param steps [Array<Hash>] of a schedule document
  # @param bare [Array<Numeric>, nil] L*a*b* this very timber was read as, bare: it goes before a mean board
  # @param like [String, nil] the nearest kind to a wood that has no colour figures
  # @param found [Hash] what was there before
  def initialize(wood, steps, bare: nil, like: nil, found: {})
    @named = wood
    @species = Rhexon::Colour::Wood.named(wood)
    @like = like unless @species
    @steps = steps
    @found = found
    @bare = bare || (found["lab"] if Rhexon::Colour::FoundLook.wood?(found))
    # Nothing is predicted of steps that the shelf does not know any more, or that cannot be.
    @known = timber("mean") && steps.all? { |step| step["product"].nil? || laid?(step) }
  end

  # Of the steps on a face of a piece.
  # @param plan [Rhexon::Planning::Plan, nil] knows what measures have told of the face
  # @return [LooksState]
  def self.of_piece(piece, steps, face = nil, plan: nil)
    told = plan&.piece(piece.core_id)&.faces&.dig(face, "found")
    new(piece.wood, steps, like: piece.wood_like, found: told || piece.found_on(face))
  end

  # @param read [Hash, nil] what a board of the same things was read as
  # @return [Hash, nil] nil: the wood has no colour figures
  def to_h(read: nil)
    return unless @known

    looks = { wood: @species || @named, ground: ground, later: later, own: own, read: read, lights: lights,
              says: Rhexon::Boards::LookRequest::GUIDE, stages: stages("mean").map { |stage| stage(stage) },
              pale: spread("pale"), dark: spread("dark") }
    LooksSerializer.new(looks).to_h
  end

  # @return [Rhexon::Colour::Looks::Stage] the look in the end
  def final = stages("mean").last

  # A colour that was read by day, in every light: by its spectrum, or by the smoothest one in the course of the wood.
  # @param lab [Array<Numeric>, nil]
  # @param spectrum [Array<Float>, nil]
  # @return [Hash{String=>String}, nil]
  def read_hexes(lab, spectrum: nil)
    return unless lab

    reflectance = spectrum ||
      Rhexon::Colour::Reflectance.from_lab(lab, Rhexon::Colour::Light.find("D65"),
                                           shape: timber("mean")&.reflectance)
    Rhexon::Colour::Light.all.to_h { |light| [ light.id, Rhexon::Colour::Look.new(reflectance, light).hex ] }
  rescue Rhexon::InvalidInput
    Rhexon::Colour::Light.all.to_h { |light| [ light.id, Rhexon::Colour::Lab.hex(lab) ] }
  end

  # @return [Hash{String=>String}, nil] the look in the end by light
  def last_hexes = (hexes(final) if @known)
  def last_lab = (final.look.lab.map { |value| value.round(1) } if @known)

  # @return [Float, nil] gloss of the last film by its sheet, GU
  def last_gloss
    (top = @steps.reverse.find { |step| step["kind"] == "coat" }) && Shelf.products[top["product"]]&.sheen_gu&.value
  end

  # @return [Array<Hash>] hexes after each stage, the bare wood first
  def stage_hexes = @known ? stages("mean").map { |stage| hexes(stage) } : []

  private

  def laid?(step)
    product = Shelf.products[step["product"]] or return false
    kinds = Rhexon::Schedule::Kinds
    return kinds.carries?(step["kind"], product) unless kinds.laying.include?(step["kind"])

    kinds.methods(step["kind"], product).any?
  end

  def stages(board)
    self.class.kept([ kind, board, @bare, @found, @steps, Shelf.to_core.object_id ]) { reckoned(timber(board)) }
  end

  def kind = @species || @like
  def timber(board) = Rhexon::Colour::Wood.timber(kind, board, lab: @bare)

  # A pale and a dark board of the kind, where there is one.
  def spread(board) = kind && hexes(stages(board).last)

  # What the prediction stands on.
  def ground
    return "this wood as it was read" if @bare && timber("mean").read
    return "a mean board of #{@species}" if @species

    "a mean board of #{@like}, the nearest kind to #{@named}: an estimate"
  end

  def reckoned(wood, years: 0)
    Rhexon::Colour::Looks.new(wood, @steps, Shelf.products,
                              surface: Rhexon::Colour::Surface.usual(Board::Lessons.current.surface_shares),
                              years: years, found: @found).stages
  end

  # What light makes of it in time, wood and clear films together.
  def later
    Rhexon::Reference.colour.ages.filter_map do |time, age|
      aged = self.class.kept([ kind, time, @bare, @found, @steps, Shelf.to_core.object_id ]) do
        wood = timber("mean").aged(time)
        wood ? reckoned(wood, years: age.fetch("years")) : []
      end
      stage = aged.last or next
      { words: age.fetch("words"), lab: stage.look.lab.map { |value| value.round(1) }, hexes: hexes(stage) }
    end
  end

  # Which of its products are reckoned as the shop's boards taught, and how well that fits.
  def own
    mine = @steps.map { |step| step["product"] }
    Board::Lessons.told.select { |lesson| lesson[:used] && mine.include?(lesson[:product]) }
                .map { |lesson|
                  "#{lesson[:name]} is reckoned as this shop's boards taught: " \
                                "#{format("%.2f", lesson[:strength])} of its sheet, #{lesson[:readings]} readings, " \
                                "off by ΔE #{lesson[:after]} in the mean (#{lesson[:before]} by the sheet)."
                }.join(" ")
  end

  def lights = Rhexon::Colour::Light.all.map { |light| { id: light.id, name: light.name, model: light.model } }

  def stage(stage)
    {
      step: stage.step && stage.step["id"], coat: stage.coat, lab: stage.look.lab.map { |value| value.round(1) },
      hexes: hexes(stage), gaps: stage.gaps, notes: stage.notes
    }
  end

  def hexes(stage) = Rhexon::Colour::Light.all.to_h { |light| [ light.id, stage.look(light).hex ] }
end
