# A device that somebody signed in on. Its cookie holds a token of which only the digest is kept, so that a copy of the
# shop's file lets nobody in. At the bench other hands take the device over by their code; it may then do no more than
# they may, and the work of the bench alone: what is the owner's asks for a password.
class Session < ApplicationRecord
  # Devices that were not used for so long are signed out, and all are after the longest time.
  UNUSED = 30.days
  LONGEST = 180.days
  # So long a password that was given is good for what is the owner's.
  CONFIRMED = 10.minutes
  # How often the moment a device was last used at is written down.
  SEEN_EVERY = 10.minutes
  DEVICE = 80

  belongs_to :person
  belongs_to :hands, class_name: "Person", optional: true

  class << self
    # @param device [String] as it calls itself
    # @return [Array(Session, String)] with the token for its cookie, which is told this once
    def begin!(person, device:)
      where(seen_at: ..UNUSED.ago).or(where(created_at: ..LONGEST.ago)).delete_all
      token = SecureRandom.urlsafe_base64(32)
      now = Time.current
      [ create!(person: person, device: device.to_s.first(DEVICE), token_digest: digest(token), known: [],
                created_at: now, seen_at: now, confirmed_at: now), token ]
    end

    # @return [Session, nil] of a person who may still sign in
    def of_token(token)
      return if token.blank?

      found = includes(:person, :hands).find_by(token_digest: digest(token))
      found if found && found.seen_at > UNUSED.ago && found.created_at > LONGEST.ago
    end

    private

    def digest(token) = Digest::SHA256.hexdigest(token)
  end

  # Whose hands are on the device: by them the log names what is done.
  # @return [Person]
  def actor = hands || person

  # What may be done on the device: other hands, who gave a code, do the work of the bench.
  # @return [String] of Person::ROLES
  def role = hands && hands.owner? ? "finisher" : actor.role

  # @return [Boolean] whether whoever is there gave their password just now
  def confirmed? = hands.nil? && confirmed_at.present? && confirmed_at > CONFIRMED.ago

  # @param password [String]
  # @return [Boolean]
  # @raise [Tries::Held]
  def confirm!(password)
    return false unless hands.nil? && Tries.new(person, "confirm_refused").once { person.authenticate(password.to_s) }

    update!(confirmed_at: Time.current)
  end

  # That the disk is full keeps nobody from reading.
  def seen!
    update_columns(seen_at: Time.current) if seen_at < SEEN_EVERY.ago
  rescue ActiveRecord::StatementInvalid => error
    logger.warn("The time of a session was not written: #{error.message}")
  end

  # Hands the device over. Nobody gets further by it than by their own secret: whoever has a code gives it, and whoever
  # may do more than the hands before says who they are.
  # @param to [Person, nil] nil: back to whoever signed in
  # @param secret [String, nil] code or password
  # @param trusting [Boolean] whether people who keep no secret are believed: in the demo
  # @raise [Rhexon::InvalidInput]
  def hand_over!(to, secret, trusting: false)
    wanted = to || person
    unless free?(wanted) || (trusting && !wanted.code? && !wanted.signs_in?)
      right = Tries.new(wanted, "code_refused").once { wanted.knows?(secret) }
      Rhexon.refuse_unless(right, "That is not the code of #{wanted.name}", where: "code", accepted: wanted.secrets)
    end

    here = to || (person unless hands.nil? || trusting || owns?(secret))
    update!(hands: here, known: (known | [ wanted.id ]), confirmed_at: nil)
    AuditLine.note!("taken_over", person: wanted)
  end

  # Whether a touch may name somebody's hands on this device: those of people without a code are named by whoever is
  # there, the others' once they have given it here.
  def names?(other)
    other.id == actor.id || other.id == person_id || known.include?(other.id) || free?(other)
  end

  private

  # Back to an owner by the code is the bench alone, too: the rest comes with the password.
  def owns?(secret) = !person.owner? || person.authenticate(secret.to_s).present?

  # Nothing is asked of those who take over no more than was there, and lock nothing.
  def free?(other)
    return true if other.id == actor.id

    !other.code? && !other.signs_in? && other.rank <= actor.rank
  end
end
