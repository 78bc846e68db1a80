# A touch is taken in before the shop is planned with it: whoever touched has their answer at once, and nobody waits
# behind a plan. Its own piece is planned with it first, so that nothing is kept that cannot be planned; the plan of the
# shop settles behind.
class Plan::Settling
  class << self
    # Takes a touch in, if its piece can be planned with it.
    # @param piece [Piece, nil] that it is about
    # @yieldreturn [Entry]
    # @return [Entry]
    # @raise [Rhexon::InvalidInput] with a sentence; nothing is kept then
    def take_in!(piece)
      ApplicationRecord.transaction { yield.tap { plan_alone!(piece) if piece } }
    rescue StandardError
      ShopFloor.forget if piece
      raise
    end

    private

    # A piece that was at fault before is no worse for it.
    def plan_alone!(piece)
      Current.forget_shelf
      ShopFloor.new.stands_alone!(piece) unless ShopFloor.faulty&.include?(piece.id)
    rescue Rhexon::InvalidInput
      raise
    rescue StandardError => error
      raise if Trouble.of_database?(error)

      raise Trouble.new(error, SoundChange::NOTHING_KEPT)
    end
  end

  # @param entry [Entry]
  def initialize(entry)
    @entry = entry
  end

  # Planned outside of the write, and written down then: what others touched meanwhile is put right by their own.
  # @return [ShopFloor]
  # @raise [Trouble] where its piece cannot be drawn with it: it is taken back
  def settle!
    ShopFloor.new.tap do |floor|
      draw(floor)
      ApplicationRecord.transaction { floor.keep!(entry: @entry) }
      BetterPlanJob.soon
    end
  end

  private

  def draw(floor)
    piece = floor.scheduled.find { |one| one.id == @entry.piece_id }
    floor.drawing(piece).check! if piece
  rescue StandardError => error
    raise if Trouble.of_database?(error)

    take_back!
    raise Trouble.new(error, SoundChange::NOTHING_KEPT)
  end

  def take_back!
    return if @entry.kind == "correction" || @entry.correction

    Bench::Work.record!({ "client_id" => "#{@entry.client_id}/taken back", "kind" => "correction",
                          "corrects" => @entry.id }, happened_at: Time.current)
    ShopFloor.forget
  end
end
