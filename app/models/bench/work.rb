# Turns what was touched at the bench into log entries, refusing what cannot have happened.
class Bench::Work
  # The entry that a correction takes back: known by its number, or by the touch that made it, as it may not have been
  # in the log yet when it was taken back.
  # @param body [Hash] "corrects" or "corrects_touch"
  # @return [Entry, nil]
  def self.mistaken(body)
    touch = body["corrects_touch"]
    touch ? Entry.find_by(client_id: touch) : Entry.find_by(id: body["corrects"])
  end

  # @param body [Hash] client_id, kind, pass, person, milestone, answer, fault, mending, corrects
  # @return [Entry]
  def self.record!(body, happened_at:) = new(body, happened_at).record!

  def initialize(body, happened_at)
    @body = body
    @happened_at = happened_at
  end

  def record!
    case @body["kind"]
    when "correction" then correct!
    when "started", "done", "tick", "measured", "dry_test" then on_pass!
    when "acknowledged" then acknowledge!
    when "rags" then rags!
    when "seen_to" then seen_to!
    when "fault" then Entry::LoggedFault.record!(@body, happened_at: @happened_at)
    else raise Rhexon::InvalidInput.new(
      "The log has no entry of kind #{@body["kind"].inspect}", where: "kind",
      accepted: "started, tick, measured, done, dry_test, fault, acknowledged, rags, seen_to, correction"
    )
    end
  end

  MOST_DROPS = 10_000

  private

  # Cautions that somebody has read, for the job of the pass they stand at.
  def acknowledge!
    piece = Piece.from_core(@body["pass"].to_s.split("/").first)
    known = Rhexon::Materials::Cautions.ids
    read = @body["cautions"]
    Rhexon.refuse_unless(read.present? && (read - known).empty?, "What was read is a caution",
                         where: "cautions", accepted: known.join(", "))
    Entry.record!(client_id: @body["client_id"], kind: "acknowledged", happened_at: @happened_at, piece: piece,
                  body: { "cautions" => read.uniq, **by_whom })
  end

  # Rags that heat themselves are dealt with.
  def rags!
    Entry.record!(client_id: @body["client_id"], kind: "rags", happened_at: @happened_at, body: by_whom)
  end

  # Something that the evening asks for is seen to, today.
  def seen_to!
    item = @body["item"]
    Rhexon.refuse_unless(item.present?, "What was seen to is named", where: "item", accepted: "an item of the evening")
    Entry.record!(client_id: @body["client_id"], kind: "seen_to", happened_at: @happened_at,
                  body: { "item" => item, **by_whom })
  end

  def on_pass!
    piece = Piece.from_core(@body["pass"].to_s.split("/").first)
    Bench::Turn.new(piece, @body, @happened_at).check! unless Entry.exists?(client_id: @body["client_id"])
    Entry
      .record!(client_id: @body["client_id"], kind: @body["kind"], happened_at: @happened_at, piece: piece,
               revision: piece.schedule.head, pass_key: @body["pass"], body: details)
         .tap { Board::Making.done_on!(piece) if @body["kind"] == "done" }
  end

  def details
    case @body["kind"]
    when "started" then { **by_whom, **planned, **begun_from }
    when "done" then how_it_was_done
    when "tick" then Bench::Tick.new(@body).details
    when "measured" then Bench::Laid.new(@body).details
    else answered(%w[dry not_yet], "A dry test").merge(@body.slice("milestone"), tried_on)
    end
  end

  # Hands begin to set up, or everything is ready and the work itself begins.
  def begun_from
    from = @body["from"] or return {}
    Rhexon.refuse_unless(%w[set_up stroke].include?(from), "A start is noted as hands begin, or at the first stroke",
                         where: "from", accepted: "set_up, stroke")
    { "from" => from }
  end

  # The film itself, or the glass that was left beside it.
  def tried_on
    by = @body["by"] or return {}
    Rhexon.refuse_unless(%w[film glass].include?(by), "A dry test is made on the film or on the glass",
                         where: "by", accepted: "film, glass")
    { "by" => by }
  end

  def how_it_was_done
    step = Bench::Measured.step(@body["pass"])
    return Bench::Measured.new(step, @body).details if step
    return answered(%w[yes again], "A look that is done") if @body["answer"]

    drops = @body["drops"] or return {}
    known = drops.is_a?(Numeric) && drops.positive? && drops <= MOST_DROPS
    Rhexon.refuse_unless(known, "#{drops} is no number of drops",
                         where: "drops", accepted: "more than 0, at most #{MOST_DROPS}")
    { "drops" => drops }
  end

  def answered(known, what)
    Rhexon.refuse_unless(known.include?(@body["answer"]), "#{what} has an answer", where: "answer",
                                                                                   accepted: known.join(" or "))
    @body.slice("answer")
  end

  # When it was planned to begin. What came before says what it said.
  def planned
    known = Entry.find_by(client_id: @body["client_id"])
    return known.body.slice("planned") if known

    at = PlannedPass.find_by(pass_key: @body["pass"])&.start_min || planned_now
    { "planned" => at && Shop.current.clock.iso(at) }.compact
  end

  def planned_now = ShopFloor.new.plan.placements.find { |one| one.pass.key == @body["pass"] }&.hands_start

  # Who began it; old touches do not say.
  def by_whom
    name = @body["person"] or return {}
    Rhexon.refuse_unless(
      Person.exists?(name: name), "#{name} is not among the people of the shop", where: "person",
      accepted: Person.at_bench.pluck(:name).join(", ")
    )
    { "person" => name }
  end

  def refuse(sentence) = raise(Rhexon::InvalidInput.new(sentence, where: "pass"))

  def correct!
    wrong = self.class.mistaken(@body) || refuse("There is no such entry to take back")
    Entry::LoggedFault.withdraw!(wrong) if wrong.kind == "fault" && wrong.correction.nil?
    PlanMove.take_back!(wrong) if wrong.correction.nil?
    Entry.record!(client_id: @body["client_id"], kind: "correction", happened_at: @happened_at, piece: wrong.piece,
                  pass_key: wrong.pass_key, corrects: wrong, body: {})
  end
end
