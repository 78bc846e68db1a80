# Whether it is the turn of what was touched on a pass: what cannot have happened is refused.
class Bench::Turn
  # What is said of work that is done: that it dried, and what was measured of it.
  AFTERWARDS = %w[dry_test measured].freeze
  # What is said of work that was begun.
  WITHIN = %w[tick measured].freeze

  # @param piece [Piece]
  # @param body [Hash] "pass", "kind"
  # @param happened_at [Time]
  def initialize(piece, body, happened_at)
    @piece = piece
    @pass = body["pass"]
    @kind = body["kind"]
    @happened_at = happened_at
  end

  # @raise [Rhexon::InvalidInput]
  def check!
    refuse("That work is already done") if done? && AFTERWARDS.exclude?(@kind) && !ticked_before?
    refuse("That work is already begun") if @kind == "started" && begun?
    refuse_before_its_start if %w[done tick].include?(@kind)
    refuse("That work is not begun yet: start it, then tick and measure") if WITHIN.include?(@kind) && standing.empty?
    refuse("That work is not done yet, so nothing dries") if @kind == "dry_test" && !done? && !look?
    refuse("The schedule has no such work: #{@pass}. It was changed meanwhile") unless known?
    held = Bench::Measured.holding(@piece, @pass) and refuse(held)
  end

  private

  # The touch of another device, or a clock that was put back.
  def refuse_before_its_start
    start = standing.find { |entry| entry.kind == "started" } or return
    return if @happened_at >= start.happened_at

    begun, ended = [ start.happened_at, @happened_at ].map { |at| at.in_time_zone(Shop.current.zone).strftime("%H:%M") }
    refuse("That work was begun at #{begun} and cannot be finished at #{ended}: look at the clock of this device")
  end

  def standing = @standing ||= Entry.standing(@piece).select { |entry| entry.pass_key == @pass }
  def done = standing.find { |entry| entry.kind == "done" }
  def done? = !done.nil?
  def begun? = standing.any? { |entry| entry.kind == "started" }

  # Another tablet ticked it while it had no connection, before this one said that all is done.
  def ticked_before? = @kind == "tick" && @happened_at <= done.happened_at

  # A look that is put off: not yet.
  def look?
    id = @pass.to_s.split("/")[1]
    @piece.schedule.steps.any? { |step| step["id"] == id && step["kind"] == "look" }
  end

  def known?
    standing.any? || PlannedPass.exists?(pass_key: @pass) ||
      ShopFloor.new.plan.placements.any? { |placement| placement.pass.key == @pass }
  end

  def refuse(sentence) = raise(Rhexon::InvalidInput.new(sentence, where: "pass"))
end
