# Asks the stand-ins of the demo every minute, as a real instrument would send by itself.
class Instrument::Watch
  EVERY_S = 60
  # What hangs in a room sends by itself; what is held on the work is pressed.
  ASKED = -> { Instrument.where(kind: Instrument::OF_ROOMS).where.not(stand_in: nil) }

  # Behind the server, as long as it runs.
  def self.begin!
    return if ASKED.call.none?

    Thread.new do
      loop do
        Rails.application.executor.wrap { once }
        sleep EVERY_S
      end
    end
  rescue ActiveRecord::ActiveRecordError
    nil # a file that cannot be read is told by the pages
  end

  # @param now [Time]
  def self.once(now: Time.current)
    ASKED.call.includes(:room).find_each do |instrument|
      instrument.take!(sent(instrument, now), now: now)
    rescue Devices::Hygrometer::Silent, ActiveRecord::ActiveRecordError, Rhexon::InvalidInput
      next # it says nothing now; its page tells since when
    end
  end

  # @return [Array<Hash>] as a real one would send it
  def self.sent(instrument, now)
    device = instrument.device
    readings = instrument.kind == "weather" ? device.forecast(now: now) : [ device.reading(now: now) ]
    readings.map { |one| { "t_c" => one.t_c, "rh" => one.rh, "at" => one.at.iso8601 } }
  end
  private_class_method :sent
end
