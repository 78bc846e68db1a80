# Takes in what a thermo-hygrometer has sent: refused or marked where it cannot be or jumps; the air of its room
# follows.
class Instrument::Intake
  include Instrument::Taking

  # Readings further apart tell of no jump.
  JUMP_WITHIN = 15.minutes

  private

  def takes = "t_c and rh"
  def read(reading) = { at: instant(reading["at"], lately, "the last 30 days"), **air(reading) }

  # The air of a room is what plans are made in: kept only where all can be planned with it, as every write.
  def keep_all(sound)
    kept = []
    SoundChange.keep!(drawn: []) do
      kept = sound.map { |one| keep(one) }
      Room::MeasuredAir.new(@instrument.room, now: @now).follow!(kept.map(&:at)) if kept.any?
    end
    kept
  end

  # The same moment again is the same reading.
  def keep(one)
    known = @instrument.readings.find_by(at: one[:at])
    return known if known

    before = @instrument.readings.where(at: (one[:at] - JUMP_WITHIN)...one[:at]).last
    reading = @instrument.readings.build(one)
    reading.jump = !before.nil? && Rhexon::Drying::ReadAir.jump?(reading, before)
    # What stays where it jumped to was none.
    before.update!(jump: false) if before&.jump && !reading.jump
    reading.tap(&:save!)
  end
end
