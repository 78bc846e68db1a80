# Takes in what an instrument that is held on the work has sent: refused where it cannot be, marked where it jumps. It
# waits there until somebody at the bench takes it.
class Instrument::HandIntake
  include Instrument::Taking

  JUMP_WITHIN = 2.minutes
  # So many are kept of each.
  KEPT = 200

  private

  def measure = Instrument::Hand::MEASURES.fetch(@instrument.kind)
  def takes = @instrument.kind == "colour" ? "l, a and b" : "value, #{measure.unit}"

  def read(reading) = { at: instant(reading["at"], lately, "the last 30 days"), value: values(reading) }

  def values(reading)
    given = @instrument.kind == "colour" ? reading.values_at("l", "a", "b") : [ reading["value"] ]
    values = given.map { |value| number(value) }
    known = values.all? { |value| value && measure.range.cover?(value) }
    Rhexon.refuse_unless(known, "#{given.map(&:inspect).join(", ")} #{measure.unit} cannot be", where: "value",
                         accepted: "#{measure.range.begin} to #{measure.range.end}")
    Rhexon::Boards::Readings.check("lab", values) if @instrument.kind == "colour"
    values.map { |value| value.round(2) }
  end

  def keep_all(sound)
    ApplicationRecord.transaction do
      kept = sound.map { |one| keep(one) }
      old = @instrument.hand_readings.reorder(at: :desc).offset(KEPT).pluck(:id)
      Instrument::HandReading.where(id: old).delete_all
      kept
    end
  end

  def keep(one)
    known = @instrument.hand_readings.find_by(at: one[:at])
    return known if known

    before = @instrument.hand_readings.where(at: (one[:at] - JUMP_WITHIN)...one[:at], jump: false).last
    jump = !before.nil? && before.value.zip(one[:value]).any? { |was, is| (was - is).abs > measure.jump }
    @instrument.hand_readings.create!(**one, jump: jump)
  end
end
