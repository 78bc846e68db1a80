# From a wood, what is on it and a target to a recipe that can be weighed, or what cannot be reached.
class ColourDesk
  MOST_G = 20_000

  # @param asked [Hash] "wood", "wood_lab", "target", "way" (of ColourWork), "under" (gu of the clear
  #   film a stain is seen under; nil: bare), "colourants" (codes), "batch_g"
  # @raise [Rhexon::InvalidInput] by answering
  def initialize(asked)
    @asked = asked
  end

  # @return [Hash] ColourAnswer
  def answer = ColourAnswerSerializer.new(answered).to_h

  private

  def answered
    result = recipe.result
    light = Rhexon::Colour::Light.find("D65")
    { start: swatch(result.start), target: swatch(target), nearest: swatch(result.answers.last&.lab || result.start),
      delta_start: Rhexon::Colour::DeltaE.ciede2000(target, result.start).round(1), beyond: result.beyond,
      cast: Rhexon::Colour::Cast.for(result.start, target).label,
      spread: spread&.round(1), answers: result.answers
        .map { |recipe| told(recipe) }, metamer: metamer(result.answers.last, light), batch_g: batch_g }
  end

  def told(answer)
    { grams: answer.grams.map { |id, grams|
      {
        id: id, name: Shelf.products.fetch(id).name, grams: grams,
        carries: Rhexon::Colour::RecipeStep.carried?([ id ], Shelf.products),
        ten_more: answer.ten_more.fetch(id).map { |value| value.round(1) }
      }
    },
      carrier_g: (batch_g - answer.grams.values.sum).round(2), lab: rounded(answer.lab), hex: answer.hex,
      delta_e: answer.delta_e.round(1), words: Rhexon::Colour::DeltaE.label(answer.delta_e) }
  end

  def swatch(lab) = { lab: rounded(lab), hex: Rhexon::Colour::Lab.hex(lab) }
  def rounded(lab) = lab.map { |value| value.round(1) }

  # The target's spectrum is not known: the smoothest one in the course of the wood stands for it.
  def metamer(answer, light)
    return unless answer

    shares = answer.shares.transform_keys { |id| Shelf.products.fetch(id) }
    Rhexon::Colour::Metamerism.for(
      toner? ? toned(shares) : looks.with_stain(shares, under_gu: under),
      Rhexon::Colour::Reflectance.from_lab(target, light, shape: wood.reflectance)
    ).caution
  end

  def recipe
    if toner?
      film
    else
      Rhexon::Colour::Recipe.stain(looks, target, colourants, under_gu: under, **weighing)
    end
  end

  def toned(shares) = film.made(shares)

  # Over what is there, as thin as such a film is laid on.
  def film
    Rhexon::Colour::Recipe.toner(seen, target, colourants, surface: surface,
                                 wet_um: wet_um, **weighing)
  end

  # A spot is padded on as thin as a toner.
  def wet_um = Rhexon::Reference.colour.tint.wet_um[@asked["way"] == "glaze" ? "glaze" : "tone"]

  def weighing = { batch_g: batch_g, scale_g: Shop.current.scale_g, spread: spread }

  def under
    gu = @asked["under"]
    Rhexon.refuse_unless(gu.nil? || (gu.is_a?(Numeric) && gu.between?(0, 100)), "The film over it has a gloss",
                         where: "under", accepted: "0 to 100 GU, or none")
    gu&.to_f
  end

  def toner? = %w[tone glaze mend].include?(@asked["way"])
  def surface = Rhexon::Colour::Surface.usual(Board::Lessons.current.surface_shares)

  def looks
    Rhexon::Colour::Looks.new(wood, [ { "id" => "s1", "kind" => "sand", "grits" => [ "P180" ] } ], Shelf.products,
                              surface: surface)
  end

  # What the toner goes over: a cell that was read, or the colour that was typed.
  def seen
    Rhexon::Colour::Reflectance.from_lab(lab("wood_lab"), Rhexon::Colour::Light.find("D65"),
                                         shape: species && Rhexon::Colour::Wood.for_species(species).reflectance)
  end

  def wood
    return Rhexon::Colour::Wood.for_species(species) if @asked["wood_lab"].blank?

    Rhexon::Colour::Wood.read(species: species, lab: lab("wood_lab"))
  end

  def species = @asked["wood"].presence

  def spread
    species &&
      Rhexon::Colour::DeltaE.ciede2000(*%w[pale dark].map { |board|
        Rhexon::Colour::Wood.for_species(species, board).lab
      })
  end

  def target = lab("target")

  def lab(name)
    Rhexon::Boards::Readings.check("lab", @asked[name])
  rescue Rhexon::InvalidInput => refusal
    raise Rhexon::InvalidInput.new(name == "target" ? "That is no target" : "That is no colour to begin from",
                                   where: name, accepted: refusal.accepted)
  end

  def colourants
    wanted = Array(@asked["colourants"])
    # What is laid over is carried in any clear film, so it is coloured with what goes into any.
    fitting = Choices.colourants.select { |product| !toner? || Rhexon::Schedule::Kinds.concentrate?(product) }
    chosen = fitting.select { |product| wanted.include?(product.id) }
    Rhexon.refuse_unless(
      chosen.any?, "Choose at least one colourant", where: "colourants", accepted: fitting.map(&:name).join(", ")
    )
    chosen
  end

  def batch_g
    grams = @asked["batch_g"]
    Rhexon.refuse_unless(grams.is_a?(Numeric) && grams.between?(1, MOST_G), "A batch is weighed in grams",
                         where: "batch_g", accepted: "1 to #{MOST_G} g")
    grams
  end
end
