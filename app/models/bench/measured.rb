# What a measure or a test at the bench brings: readings, as the meter gives them and as they count, or an answer; and
# what does not go on before it.
class Bench::Measured
  # What is read of a way that says nothing else: unit, least, most, and how many.
  PLAIN = [ "", 0, 100, 100 ].freeze

  class << self
    # @param key [String] of a pass
    # @return [Hash, nil] its step, where that is a measure
    def step(key)
      piece, id = key.to_s.split("/")
      found = Piece.find_by(id: Piece.id_of(piece))&.schedule&.steps&.find { |one| one["id"] == id }
      found if found && %w[measure test].include?(found["kind"])
    end

    # Nothing goes on where a measure holds it: until that is read, nor after readings that are too wet.
    # @return [String, nil] why
    def holding(piece, key)
      id = key.split("/")[1]
      before = piece.schedule.steps.take_while { |one| one["id"] != id }
      before.select { |one| one["kind"] == "measure" && one["hold"] }.filter_map { |one| hold(piece, one) }.first
    end

    private

    def hold(piece, step)
      entry = Entry.standing(piece).select { |one| one.kind == "done" && one.pass_key.split("/")[1] == step["id"] }.last
      Rhexon::Schedule::Hold.why(
        step, done: !entry.nil?, readings: entry&.body&.dig("readings"), follows: follows(piece, step)
      ) { |readings| piece.moisture(readings) }
    end

    def follows(piece, step)
      after = piece.schedule.steps.drop_while { |one| one["id"] != step["id"] }
      Shelf.products[after.find { |one| Rhexon::Work::Steps.lays?(one) }&.fetch("product")]
    end
  end

  # @param step [Hash]
  # @param body [Hash] "readings", "t_c" of the wood, "points" for its kind, or "answer"
  def initialize(step, body)
    @step = step
    @body = body
  end

  # @return [Hash] body of the entry
  # @raise [Rhexon::InvalidInput]
  def details
    return answer if answers
    return {} unless @body["readings"].present?

    return { "readings" => read } unless corrected?

    { "readings" => corrected, "meter" => @body.slice("readings", "t_c", "points") }
  end

  private

  def answers = Rhexon::Schedule::Kinds.answers(@step["kind"], @step["way"])

  # Work that was done before answers were asked for has none.
  def answer
    return {} if @body["answer"].nil?

    Rhexon.refuse_unless(answers.key?(@body["answer"]), "What the test showed is missing",
                         where: "answer", accepted: answers.keys.join(", "))
    @body.slice("answer")
  end

  def read
    unit, least, most, count = Rhexon::Schedule::Kinds.reads(@step["kind"], @step["way"]) || PLAIN
    known = @body["readings"].size <= count &&
      @body["readings"].all? { |one| one.is_a?(Numeric) && one.between?(least, most) }
    Rhexon.refuse_unless(known, "A reading is a number", where: "readings",
                                accepted: "up to #{count} from #{least} to #{most} #{unit}".strip)
    @body["readings"].tap { |lab| Rhexon::Boards::Readings.check("lab", lab) if @step["way"] == "colour" }
  end

  def corrected? = @step["way"] == "moisture" && (@body["t_c"] || @body["points"])

  def corrected
    t_c, points = number("t_c", -20..60), number("points", -10..10)
    read.map { |one| Rhexon::Prep::Moisture.corrected(one, t_c: t_c, points: points) }
  end

  def number(field, range)
    given = @body[field]
    Rhexon.refuse_unless(given.nil? || (given.is_a?(Numeric) && range.cover?(given)), "That cannot correct a reading",
                         where: field, accepted: "#{range.begin} to #{range.end}")
    given
  end
end
