# The first person who may let others in. Whoever runs the shop's computer says so: by a code that stands in the shell
# that started it, and in a file beside the shop's own, until it was used.
class Shop::FirstOwner
  class << self
    # @return [Pathname]
    def file = Shop::Backup.database.sub_ext("-first-owner.txt")

    # @return [Boolean] whether the shop waits for one
    def wanted? = Shop.exists? && !Person.owned?

    # At the start. A file that cannot be read is told by every page; here it stops nothing.
    def announce_if_wanted!
      announce! if !Rails.configuration.x.demo && wanted?
    rescue ActiveRecord::ActiveRecordError => error
      Rails.logger.warn("Whether the shop has an owner cannot be read: #{error.message}")
    end

    # Tells the code where the shop's computer is looked after; the same until it was used.
    # @return [String]
    def announce!
      code = kept || SecureRandom.alphanumeric(12).upcase.scan(/.{4}/).join("-").tap { |new| keep(new) }
      $stdout.puts "Nobody owns this shop yet. Its first owner signs in on the page with this code: #{code}"
      code
    end

    # @param given [String]
    def code?(given)
      code = kept
      code.present? && ActiveSupport::SecurityUtils.secure_compare(code.delete("-"),
                                                                   given.to_s.upcase.delete("^A-Z0-9"))
    end

    private

    def kept = file.exist? ? file.read.strip.presence : nil
    def keep(code) = File.open(file, "w", 0o600) { |out| out.puts(code) }
  end

  # @param name [String] of somebody of the shop, or somebody new
  # @param password [String]
  # @param code [String] that was told on the shop's computer
  def initialize(name, password, code)
    @name = name.to_s.strip
    @password = password.to_s
    @code = code
  end

  # @return [Person]
  # @raise [Rhexon::InvalidInput, ActiveRecord::RecordInvalid]
  def set!
    person = Person.transaction do
      Rhexon.refuse_unless(!Person.owned?, "This shop has an owner already; a password that was forgotten is set " \
                                           "anew on the shop's computer (bin/rhexon-shop password NAME)", where: "name")
      Rhexon.refuse_unless(self.class.code?(@code), "That is not the code", where: "code",
                           accepted: "the one that Rhexon has written where it was started")
      Rhexon.refuse_unless(@password.present?, "Choose a password", where: "password", accepted: Person.password_words)
      made
    end
    FileUtils.rm_f(self.class.file)
    AuditLine.note!("owner_first", person: person, by: person.name)
    person
  end

  private

  def made
    person = Person.find_or_initialize_by(name: @name)
    person.at_bench = false if person.new_record? && Person.at_bench.any?
    person.update!(role: "owner", password: @password)
    person
  end
end
