# What was ended and has to stay so when an older state of the shop is put back: links for guests, and passwords and
# codes in whose place newer ones came. Kept beside the database, not in it. Of links there is the digest of the token,
# of secrets the digest that the database keeps, as safe there as here.
module Shop::Ended
  LOCK = Mutex.new
  NONE = { "links" => [], "secrets" => {} }.freeze
  DIGESTS = %w[password_digest code_digest].freeze
  private_constant :LOCK, :NONE, :DIGESTS

  module_function

  # @return [Pathname]
  def file = Shop::Backup.database.sub_ext("-ended.json")

  # @param link [GuestLink]
  def link!(link) = keep { |ended| ended["links"] |= [ link.token_digest ] }

  # @param person [Person] that was just written
  def secrets!(person)
    replaced = person.saved_changes.slice(*DIGESTS).values.select(&:first)
    keep { |ended| ended["secrets"].merge!(replaced.to_h) } if replaced.any?
  end

  # Holds what has ended by what the database says, too: of before this was kept.
  def hold!
    keep { |ended| ended["links"] |= GuestLink.where.not(ended_at: nil).pluck(:token_digest) }
  end

  # Ends again what a state that was put back holds to be valid.
  def end!
    ended = read
    GuestLink.where(token_digest: ended["links"], ended_at: nil).update_all(ended_at: Time.current)
    Person.find_each do |person|
      person.update_columns(DIGESTS.index_with { |name| newest(person[name], ended["secrets"]) })
    end
  end

  # @return [String, nil] what came last in the place of a digest; nil where nothing did
  def newest(digest, secrets)
    digest = secrets[digest] while secrets.key?(digest)
    digest
  end
  private_class_method :newest

  def read
    NONE.merge(JSON.parse(file.read))
  rescue Errno::ENOENT
    NONE
  end
  private_class_method :read

  # In a file of its own first: one that is half written would end nothing.
  def keep
    LOCK.synchronize do
      ended = read.deep_dup
      yield ended
      new = Pathname("#{file}.#{Process.pid}")
      File.open(new, "w", 0o600) do |out|
        out.write(JSON.generate(ended))
        out.fsync
      end
      File.rename(new, file)
    end
  end
  private_class_method :keep
end
