# What went wrong without being foreseen: a number that stands in the log, and a sentence for whoever was at work.
class Trouble < Rhexon::InvalidInput
  # The database cannot be read or written just now: it is locked, full, read-only or damaged.
  DATABASE = [
    ActiveRecord::ConnectionNotEstablished, ActiveRecord::ConnectionTimeoutError, SQLite3::BusyException,
    SQLite3::LockedException, SQLite3::FullException, SQLite3::ReadOnlyException, SQLite3::IOException,
    SQLite3::CantOpenException, SQLite3::CorruptException, SQLite3::NotADatabaseException, Errno::ENOSPC, Errno::EROFS,
    Errno::EIO
  ].freeze
  # Letters and digits that cannot be taken for each other.
  LETTERS = %w[A C D E F H J K L M N P R T U V W X Y 3 4 6 7 9].freeze

  attr_reader :number

  # @param error [StandardError] that was not foreseen; it goes into the log with its number
  # @param what [String] what could not be done
  def initialize(error, what)
    @number = Trouble.record(error)
    super("#{what}. It stands in the log as error #{number}", where: "")
  end

  # Troubles whose numbers are remembered: the same again, at the same place, keeps its number.
  KEPT = 200
  @numbers = {}
  @lock = Mutex.new

  class << self
    # @return [String] the number under which it stands in the log
    def record(error)
      key = [ error.class, error.message, error.backtrace&.first ]
      known = @lock.synchronize { @numbers[key] } and return known

      number = Array.new(6) { LETTERS.sample(random: SecureRandom) }.join
      @lock.synchronize do
        @numbers.shift if @numbers.size >= KEPT
        @numbers[key] = number
      end
      Rails.logger.error do
        "Error #{number}: #{error.class}: " \
        "#{error.message}\n#{Rails.backtrace_cleaner.clean(error.backtrace || []).first(12).join("\n")}"
      end
      number
    end

    # @return [String] why a piece cannot be computed: what the core says of it, or an error number
    def reason(error)
      if error.is_a?(Rhexon::InvalidInput)
        error.message
      else
        "It could not be computed. It stands in the log as error #{record(error)}."
      end
    end

    # @return [Boolean]
    def of_database?(error) = database_cause(error).present? || without_tables?(error)

    # The file is there and has nothing in it: it was taken away, and another was made empty.
    def without_tables?(error)
      error.is_a?(ActiveRecord::StatementInvalid) && error.message.match?(/no such table|Could not find table/)
    end

    # @return [Exception, nil]
    def database_cause(error)
      Enumerator.produce(error, &:cause).take_while(&:itself).find { |one| DATABASE.any? { |kind| one.is_a?(kind) } }
    end

    # @return [String] what a person can do about it
    def database_sentence(error)
      case database_cause(error)
      when SQLite3::FullException, Errno::ENOSPC
        "The disk of the shop's computer is full. Nothing was changed; make room, then try again."
      when SQLite3::ReadOnlyException, Errno::EROFS
        "The shop's file can only be read just now. Nothing was changed; look at the disk and its permissions, then " \
        "try again."
      when SQLite3::CorruptException, SQLite3::NotADatabaseException
        "The shop's file is damaged and cannot be read. Put back the last copy of it."
      when SQLite3::IOException, SQLite3::CantOpenException, Errno::EIO
        "The shop's file cannot be opened. Nothing was changed; look at the disk, then try again."
      when nil
        "The shop's file is missing or empty. Nothing was changed; put back the last copy of it and start again."
      else "The shop's file is busy just now. Nothing was changed; try again in a moment."
      end
    end
  end
end
