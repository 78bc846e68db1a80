# The look after every step, in every light, as pages draw it.
class LooksState
  # Looks reckoned lately, by wood, steps and shelf: pages show the same cells again and again.
  KEPT = 300
  @kept = {}
  @lock = Mutex.new

  # @yieldreturn [Array<Rhexon::Colour::Looks::Stage>]
  def self.kept(key)
    @lock.synchronize { return @kept[key] if @kept.key?(key) }
    yield.tap do |stages|
      @lock.synchronize do
        @kept.shift if @kept.size >= KEPT
        @kept[key] = stages
      end
    end
  end

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

  # A colour that was read by day, in every light: the smoothest spectrum in the course of the wood stands for it.
  # @param lab [Array<Numeric>, nil]
  # @return [Hash{String=>String}, nil]
  def read_hexes(lab)
    return unless lab

    reflectance = Rhexon::Colour::Reflectance.from_lab(lab, Rhexon::Colour::Light.find("D65"), shape: @species && Rhexon::Colour::Wood.of(@species).reflectance)
    Rhexon::Colour::Light.all.to_h { |light| [ light.id, Rhexon::Colour::Look.new(reflectance, light).hex ] }
  rescue Rhexon::Refusal
    Rhexon::Colour::Light.all.to_h { |light| [ light.id, Rhexon::Colour::Lab.hex(lab) ] }
  end

  # @return [Hash{String=>String}, nil] the look in the end by light
  def last_hexes = @species && hexes(final)
  def last_lab = @species && final.look.lab.map { |value| value.round(1) }

  # @return [Array<Hash>] hexes after each stage, the bare wood first
  def stage_hexes = @species ? stages("mean").map { |stage| hexes(stage) } : []

  private

  def stages(board)
    self.class.kept([ @species, board, @steps, Shelf.to_core.object_id ]) { Rhexon::Colour::Looks.new(Rhexon::Colour::Wood.of(@species, board), @steps, Shelf.products).stages }
  end

  def lights = Rhexon::Colour::Light.all.map { |light| { id: light.id, name: light.name, model: light.model } }

  def stage(stage)
    { step: stage.step && stage.step["id"], coat: stage.coat, lab: stage.look.lab.map { |value| value.round(1) }, hexes: hexes(stage), gaps: stage.gaps, notes: stage.notes }
  end

  def hexes(stage) = Rhexon::Colour::Light.all.to_h { |light| [ light.id, stage.look(light).hex ] }
end
