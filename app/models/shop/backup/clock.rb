# Makes a backup every hour in which something was written, lets old ones go, and tries a restore once a week.
class Shop::Backup::Clock
  EVERY = 1.hour
  LOOKS_S = 300

  # Beside the server, as long as it runs.
  # @return [Thread]
  def self.begin!
    Thread.new do
      Thread.current.priority = SlowWork::PRIORITY
      loop do
        Rails.application.executor.wrap { once && drill }
        sleep LOOKS_S
      end
    end
  end

  # @return [Shop::Backup, nil] where one was due
  def self.once(now: Time.current)
    return unless Shop.exists? && due?(now)

    Shop::Backup.keep!(reason: "by the hour", now: now)
  rescue StandardError => error
    # The page of backups says how old the last one is; why stands in the log.
    Trouble.record(error)
    nil
  end

  # Beside a backup that was just made: a shop that is not used is not read through.
  # @return [Shop::Backup::Drill::Result, nil]
  def self.drill(now: Time.current)
    Shop::Backup::Drill.new(Shop::Backup.last, now: now).run! if Shop::Backup::Drill.due?(now)
  rescue StandardError => error
    Trouble.record(error)
    nil
  end

  def self.due?(now)
    last = Shop::Backup.last
    last.nil? || (last.made_at <= now - EVERY && last.written != written)
  end

  def self.written = Shop::Backup.written { |sql| ApplicationRecord.connection.select_rows(sql) }
  private_class_method :due?, :written
end
