# A write that plans depend on: made, planned, checked and drawn in one transaction, and kept only if all of that works.
class SoundChange
  NOTHING_KEPT = "That cannot be computed, so nothing was kept".freeze

  # @param drawn [Array<Piece>, nil] what is drawn of it; nil: every piece in hand, and the bench
  # @param face [String, nil] the face that is looked at
  # @yield the write
  # @return [ShopFloor, nil] as it is now; nil where the shop itself cannot plan
  # @raise [Rhexon::InvalidInput] with a sentence, and where it was not foreseen with the number it has in the log
  def self.keep!(drawn: nil, face: nil, &write) = new(drawn, face).keep!(&write)

  def initialize(drawn, face)
    @drawn = drawn
    @face = face
  end

  def keep!
    before = standing_faults
    ApplicationRecord.transaction do
      yield
      sound_floor(before)
    end
  rescue StandardError
    Current.forget_shelf
    ShopFloor.forget if @planned
    raise
  end

  private

  # Before the write: pieces that are set aside already, or :shop where the shop itself cannot plan.
  def standing_faults
    ShopFloor.faulty || ShopFloor.new.aside.map { |aside| aside.piece.id }
  rescue Rhexon::InvalidInput
    :shop
  end

  def sound_floor(before)
    return if before == :shop

    Current.forget_shelf
    @planned = true
    ShopFloor.new.tap do |floor|
      floor.plan_around(@drawn.sole) if @drawn&.one?
      worse = floor.aside.find { |aside| before.exclude?(aside.piece.id) }
      if worse
        raise Rhexon::InvalidInput.new("#{worse.piece.name}: #{worse.reason}", where: "pieces/#{worse.piece.id}")
      end

      draw(floor)
    end
  rescue Rhexon::InvalidInput
    raise
  rescue StandardError => error
    raise if Trouble.of_database?(error)

    raise Trouble.new(error, NOTHING_KEPT)
  end

  def draw(floor)
    touched = @drawn ? @drawn.select { |piece| floor.planned?(piece) } : floor.scheduled
    touched.each { |piece| floor.drawing(piece).check!(@face) }
    BenchState.new(floor: floor).check! unless @drawn
  end
end
