# A touch is taken in before the shop is planned with it: whoever touched has their answer at once, and nobody waits
# behind a plan. Its own piece is planned with it first, so that nothing is kept that cannot be planned; the plan of the
# shop settles behind.
class Plan::Settling
  # The next touches have the processor first.
  DRAWN_AFTER = 20.seconds

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

  # Planned outside of the write, and written down then. What others touched meanwhile their own settling puts right;
  # where the plan itself was written meanwhile it is made again.
  # @return [ShopFloor]
  def settle!
    floor = settled || ApplicationRecord.transaction { ShopFloor.new.tap { |fresh| fresh.keep!(entry: @entry) } }
    DrawnJob.set(wait: DRAWN_AFTER).perform_later(@entry)
    BetterPlanJob.soon
    floor
  end

  # Takes the touch back where its piece cannot be drawn with it.
  def see_it_drawn!
    floor = ShopFloor.new
    piece = floor.scheduled.find { |one| one.id == @entry.piece_id }
    floor.drawing(piece).check! if piece
  rescue StandardError => error
    raise if Trouble.of_database?(error)

    Trouble.record(error)
    take_back!
  end

  private

  # @return [ShopFloor, nil] nil where the plan was written while this one was made
  def settled
    written = plan_written
    floor = ShopFloor.new.tap(&:plan)
    ApplicationRecord.transaction { written == plan_written && floor.tap { floor.keep!(entry: @entry) } } || nil
  end

  def plan_written = [ *Stamp.read.of(Stamp::PLANNED), Revision.maximum(:id) ]

  def take_back!
    return if @entry.kind == "correction" || @entry.correction

    Bench::Work.record!({ "client_id" => "#{@entry.client_id}/taken back", "kind" => "correction",
                          "corrects" => @entry.id }, happened_at: Time.current)
    ShopFloor.forget
  end
end
