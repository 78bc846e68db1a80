# A write that plans depend on: made, planned, checked and drawn in one transaction, and kept only if all of that works.
class SoundChange
  NOTHING_KEPT = "That cannot be computed, so nothing was kept".freeze

  # @param drawn [Array<Piece>, nil] what is drawn of it; nil: every piece in hand, and the bench
  # @param face [String, nil] the face that is looked at
  # @param anew [Boolean] a new plan is searched for
  # @yieldreturn [Object, Entry] a touch: what it moves is told with it
  # @return [ShopFloor, nil] as it is now; nil where the shop itself cannot plan
  # @raise [Rhexon::InvalidInput] with a sentence, and where it was not foreseen with the number it has in the log
  def self.keep!(drawn: nil, face: nil, anew: false, &write) = new(drawn, face, anew).keep!(&write)

  def initialize(drawn, face, anew)
    @drawn = drawn
    @face = face
    @anew = anew
  end

  def keep!
    before = standing_faults
    ApplicationRecord.transaction { yield.then { |made| sound_floor(before, (made if made.is_a?(Entry))) } }
      .tap { BetterPlanJob.soon }
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

  def sound_floor(before, entry)
    return if before == :shop

    Current.forget_shelf
    @planned = true
    ShopFloor.new(anew: @anew).tap do |floor|
      worse = floor.aside.find { |aside| before.exclude?(aside.piece.id) }
      if worse
        raise Rhexon::InvalidInput.new("#{worse.piece.name}: #{worse.reason}", where: "pieces/#{worse.piece.id}")
      end

      draw(floor)
      floor.keep!(entry: entry)
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
