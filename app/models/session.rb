# A device that somebody signed in on. Its cookie holds a token of which only the digest is kept, so that a copy of the
# shop's file lets nobody in. At the bench other hands take the device over by their code; it may then do no more than
# they may.
class Session < ApplicationRecord
  # Devices that were not used for so long are signed out.
  UNUSED = 60.days
  # How often the moment a device was last used at is written down.
  SEEN_EVERY = 10.minutes
  DEVICE = 80

  belongs_to :person
  belongs_to :hands, class_name: "Person", optional: true

  class << self
    # @param device [String] as it calls itself
    # @return [Array(Session, String)] with the token for its cookie, which is told this once
    def begin!(person, device:)
      where(seen_at: ..UNUSED.ago).delete_all
      token = SecureRandom.urlsafe_base64(32)
      now = Time.current
      [ create!(person: person, device: device.to_s.first(DEVICE), token_digest: digest(token), known: [],
                created_at: now, seen_at: now), token ]
    end

    # @return [Session, nil] of a person who may still sign in
    def of_token(token)
      return if token.blank?

      found = includes(:person, :hands).find_by(token_digest: digest(token))
      found if found && found.seen_at > UNUSED.ago
    end

    private

    def digest(token) = Digest::SHA256.hexdigest(token)
  end

  # Whose hands are on the device: by them the log names what is done.
  # @return [Person]
  def actor = hands || person

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
    unless free?(wanted) || wanted.knows?(secret) || (trusting && !wanted.code? && !wanted.signs_in?)
      raise Rhexon::InvalidInput.new("That is not the code of #{wanted.name}", where: "code", accepted: wanted.secrets)
    end

    update!(hands: to, known: (known | [ wanted.id ]))
  end

  # Whether a touch may name somebody's hands on this device: those of people without a code are named by whoever is
  # there, the others' once they have given it here.
  def names?(other)
    other.id == actor.id || other.id == person_id || known.include?(other.id) || free?(other)
  end

  private

  # Nothing is asked of those who take over no more than was there, and lock nothing.
  def free?(other)
    return true if other.id == actor.id

    !other.code? && other.rank <= actor.rank
  end
end
