require "open3"

# A restore that is tried: a backup is put into a file of its own, compared, looked over, and each page is read from it,
# in a process of its own. The shop goes on and is not touched. A backup that was never restored is a hope.
class Shop::Backup::Drill
  ABOUT = "drill.json".freeze
  EVERY = 7.days
  # A shop of less than that has little to lose, and a computer that starts has other work.
  FROM = 1.day
  LIFELINE = Rails.root.join("lib/lifeline.rb").to_s
  # By then the largest shop is read through.
  MOST_S = 1800

  # What the last one came to.
  # @!attribute lines [Array<Hash>] findings: of, good, sentence
  Result = Struct.new(:backup, :at, :lines, keyword_init: true) do
    def good? = lines.none? { |line| line["good"] == false }
    def made_at = Time.strptime(backup, "%Y%m%dT%H%M%S%z")
  end

  @trying = Concurrent::AtomicBoolean.new

  class << self
    # @return [Result, nil]
    def last
      told = JSON.parse(Shop::Backup.root.join(ABOUT).read)
      Result.new(backup: told.fetch("backup"), at: Time.iso8601(told.fetch("at")), lines: told.fetch("lines"))
    rescue StandardError
      nil
    end

    # Tries the last backup, beside whoever asks.
    def begin! = @trying.make_true && DrillJob.perform_later

    # @return [Result, nil]
    def attempt!
      new(Shop::Backup.last).run! if Shop::Backup.last
    ensure
      @trying.make_false
    end

    # @return [Boolean] whether one was begun and is not over
    def trying? = @trying.true?

    # @return [Boolean] whether it is time for one
    def due?(now)
      last ? last.at <= now - EVERY : Shop::Backup.all.last.then { |first| first && first.made_at <= now - FROM }
    end
  end

  # @param backup [Shop::Backup]
  def initialize(backup, now: Time.current)
    @backup = backup
    @now = now
  end

  # @return [Result] which is kept beside the backups
  def run!
    lines = restored
    lines += looked_over if lines.all? { |line| line["good"] }
    Shop::Backup.root.join(ABOUT).write(JSON.generate(backup: @backup.name, at: @now.utc.iso8601, lines: lines),
                                        perm: 0o600)
    self.class.last
  ensure
    clear
  end

  private

  # Beside the shop's own, where the application looks for the file of a name.
  def scratch = Shop::Backup.database.dirname.join("drill-#{Process.pid}.sqlite3")

  # Also what a process that was killed has left.
  def clear
    left = scratch.dirname.glob("drill-*").select { |path| path.lstat.mtime < 1.day.ago }
    [ *scratch.dirname.glob("#{scratch.basename(".sqlite3")}*"), *left ].each { |path| FileUtils.rm_rf(path) }
  end

  def restored
    @backup.check!
    into = SQLite3::Database.new(scratch.to_s)
    differing = Shop::Backup::Soundness.open(@backup.database) do |from|
      Shop::Backup::Copying.open(from, into, &:run!)
      Shop::Backup::Content.differing(*[ from, into ].map { |database| Shop::Backup::Content.of(database) })
    end
    into.close
    FileUtils.ln_s(@backup.photos, scratch.sub_ext("-photos")) if @backup.photos.directory?
    [ line("restored", differing.empty?, differing.empty? ? "The backup was restored, and holds the same." :
                                         "What was restored differs: #{differing.first(3).to_sentence}.") ]
  rescue Rhexon::InvalidInput => error
    [ line("restored", false, "#{error.message.chomp(".")}.") ]
  end

  def looked_over
    said, ended = read_restored
    return JSON.parse(said.lines.last) if ended.success?

    [ line("read", false, "What was restored could not be opened: #{said.lines.first.to_s.strip}") ]
  end

  # It ends with this process, also where that is killed.
  # @return [Array(String, Process::Status)]
  def read_restored
    reading, writing = IO.pipe
    Open3.capture2e(
      { "RAILS_ENV" => "production", "RHEXON_DATABASE" => scratch.basename(".sqlite3").to_s, "RHEXON_DEMO" => "1",
        "RHEXON_BACKUPS" => nil, "SECRET_KEY_BASE" => SecureRandom.hex(64), "RAILS_LOG_LEVEL" => "fatal",
        "RUBYOPT" => nil, "RUBYLIB" => nil, "LIFELINE" => reading.fileno.to_s, "LIFELINE_S" => MOST_S.to_s },
      "nice", "-n", "10", RbConfig.ruby, "-r", LIFELINE, Rails.root.join("bin/rails").to_s, "shop:read_restored",
      reading => reading, chdir: Rails.root.to_s
    )
  ensure
    [ reading, writing ].each(&:close)
  end

  def line(of, good, sentence) = { "of" => of, "good" => good, "sentence" => sentence }
end
