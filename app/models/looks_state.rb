# The look after every step, in every light, as pages draw it.
class LooksState
  # @param wood [String] as the piece or board names it
  # @param steps [Array<Hash>] of a schedule document
  def initialize(wood, steps)
    @species = wood.to_s.downcase.split.reverse.find { |word| Rhexon::Colour::Wood.species.include?(word) }
    @steps = steps
  end

  # @return [Hash, nil] nil: the wood has no colour figures
  def to_h
    return unless @species

    LooksSerializer.new({ species: @species, lights: lights, says: Rhexon::Colour::Request::GUIDE, stages: stages("mean").map { |stage| stage(stage) }, pale: hexes(stages("pale").last), dark: hexes(stages("dark").last) }).to_h
  end

  # @return [Rhexon::Colour::Looks::Stage] the look in the end
  def final = stages("mean").last

  private

  def stages(board)
    (@stages ||= {})[board] ||= Rhexon::Colour::Looks.new(Rhexon::Colour::Wood.of(@species, board), @steps, Shelf.products).stages
  end

  def lights = Rhexon::Colour::Light.all.map { |light| { id: light.id, name: light.name, model: light.model } }

  def stage(stage)
    { step: stage.step && stage.step["id"], coat: stage.coat, lab: stage.look.lab.map { |value| value.round(1) }, hexes: hexes(stage), gaps: stage.gaps, notes: stage.notes }
  end

  def hexes(stage) = Rhexon::Colour::Light.all.to_h { |light| [ light.id, stage.look(light).hex ] }
end
