# SQLite's online copy of one database into another, a slice at a time, so that other threads come in between. What is
# copied is one state of all of it, and what is written into has the old state or the new one, never half of either.
class Shop::Backup::Copying
  # Of a slice: a quarter of a megabyte, copied in about a millisecond.
  PAGES = 64
  # So long somebody else may be writing before the copy is given up, and how often that is looked at.
  WAIT_S = 5
  AGAIN_S = 0.02
  DONE, BUSY, LOCKED = SQLite3::Constants::ErrorCode.then { |code| [ code::DONE, code::BUSY, code::LOCKED ] }

  # Somebody else was writing all that time; nothing was changed.
  Held = Class.new(Rhexon::InvalidInput)

  # @param from, into [SQLite3::Database]
  # @yieldparam copying [Copying]
  def self.open(from, into)
    # A transaction of its own holds what is read to one state; without it each write would begin the copy anew.
    from.transaction(:deferred) do
      from.execute("SELECT count(*) FROM sqlite_master")
      copying = new(SQLite3::Backup.new(into, "main", from, "main"))
      yield copying
    ensure
      copying&.finish
    end
  end

  def initialize(backup)
    @backup = backup
  end

  # Waits until nobody else writes, and keeps it so.
  # @raise [Held]
  def hold! = slice

  # @raise [Held]
  def run!
    sleep(0.001) until slice == DONE
    finish
  end

  # Where it was not run to its end nothing was changed.
  def finish
    @backup&.finish
    @backup = nil
  end

  private

  def slice
    till = Process.clock_gettime(Process::CLOCK_MONOTONIC) + WAIT_S
    loop do
      came = @backup.step(PAGES)
      return came unless [ BUSY, LOCKED ].include?(came)

      if Process.clock_gettime(Process::CLOCK_MONOTONIC) > till
        raise Held.new("Something else has been writing to the shop's file all the time, so nothing was changed. Try " \
                       "again in a moment", where: "backup")
      end
      sleep(AGAIN_S)
    end
  end
end
