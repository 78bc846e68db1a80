# What measures and tests at the bench have told of a piece, in words, the newest first.
class Piece::Measured
  VERDICTS = {
    "wet" => "too wet to finish", "unmeasured" => "too few readings", "uneven" => "unevenly dry",
    "off" => "not yet at rest with its place", "right" => "at rest with its place"
  }.freeze

  KINDS = %w[measure test].freeze

  # @param piece [Piece]
  def initialize(piece)
    @piece = piece
  end

  # @return [Array<Hash>] :what, :said and :at (minute)
  def to_a
    Entry.standing(@piece).reverse.filter_map do |entry|
      step = steps[entry.pass_key.to_s.split("/")[1]]
      said = entry.kind == "done" && step && said(step, entry.body) or next
      { what: Rhexon::Schedule::Words.step(step), said: said, at: entry.happened_at.to_i / 60 }
    end
  end

  private

  def steps
    @steps ||= @piece.schedule.steps.select { |step| KINDS.include?(step["kind"]) }.index_by { |step| step["id"] }
  end

  # @return [String, nil] nil: done without a reading
  def said(step, body)
    answers = Rhexon::Schedule::Kinds.answers(step["kind"], step["way"])
    return answers&.fetch(body["answer"], nil) if body["answer"]

    readings = body["readings"] or return
    unit, = Rhexon::Schedule::Kinds.reads("measure", step["way"])
    return "L* #{readings[0]}, a* #{readings[1]}, b* #{readings[2]}" if step["way"] == "colour"
    return "#{readings[0]} °C#{", #{readings[1]} % RH" if readings[1]}" if step["way"] == "air"

    [ "#{readings.join(", ")} #{unit}", (verdict(readings) if step["way"] == "moisture") ].compact.join(": ")
  end

  def verdict(readings)
    found = @piece.moisture(readings)
    "#{found.mean.round(1)} % in the mean, #{found.target.round(1)} % is what it will live at, " \
      "#{VERDICTS.fetch(found.says)}"
  end
end
