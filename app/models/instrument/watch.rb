# Asks the stand-ins of the demo every minute, as a real instrument would send by itself.
class Instrument::Watch
  EVERY_S = 60

  # Behind the server, as long as it runs.
  def self.begin!
    return if Instrument.where.not(stand_in: nil).none?

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
    Instrument.where.not(stand_in: nil).includes(:room).find_each do |instrument|
      reading = instrument.device.reading(now: now)
      Instrument::Intake.new(instrument, now: now).take!([ { "t_c" => reading.t_c, "rh" => reading.rh,
                                                             "at" => reading.at.iso8601 } ])
    rescue Devices::Hygrometer::Silent, ActiveRecord::ActiveRecordError
      next # it says nothing now; its page tells since when
    end
  end
end
