# Somebody of the shop: hands at the bench, and whoever signs in.
class Person < ApplicationRecord
  # What they may do, the least first.
  ROLES = %w[student finisher owner].freeze
  # Letters of a password; more than 72 bytes are not read by the digest.
  PASSWORD = 12..72
  # What is weaker is found by trying what people choose most (zxcvbn, Wheeler 2016: 0 to 4).
  LEAST_STRENGTH = 2
  JUDGE_LOCK = Mutex.new
  CODE = /\A\d{4,8}\z/

  has_many :open_hours, dependent: :destroy
  has_many :sessions, dependent: :delete_all
  has_secure_password validations: false
  has_secure_password :code, validations: false

  validates :name, presence: { message: "Name the person." }, uniqueness: { message: "There is somebody of that name." }
  validates :role, inclusion: { in: ROLES, message: "A role is owner, finisher or student." }
  validate :password_is_hard_to_guess, if: -> { password.present? }
  validates :code, format: { with: CODE, message: "A code is 4 to 8 digits." }, if: -> { code.present? }
  validate do
    unless skills.nil? || (skills.is_a?(Array) && (skills - self.class.trained_work).empty?)
      errors.add(:skills, "Training is a list of work, such as spray.")
    end
  end

  scope :owners, -> { where(role: "owner") }
  scope :able_to_sign_in, -> { where.not(password_digest: nil) }

  # Students begin with their own pieces alone; the owner may let them help with the shop's.
  before_validation { self.own_pieces_only = student? if role_changed? && !own_pieces_only_changed? }

  after_update_commit { Shop::Ended.secrets!(self) }

  # Those whose hands plans are made for.
  def self.at_bench = where(at_bench: true).order(:id)

  # Work that asks for training, of which a person may do what is in their skills; nil: all of it.
  def self.trained_work = Rhexon::Reference.hands.skilled_methods

  # Somebody has to be able to let others in.
  def self.owned? = owners.able_to_sign_in.exists?

  # @return [String] what a password has to be
  def self.password_words = "#{PASSWORD.begin} letters or more, up to #{PASSWORD.end} bytes"

  # Reads its lists once, which takes a second and sixty megabytes: with the first password that is set.
  def self.judge = JUDGE_LOCK.synchronize { @judge ||= Zxcvbn::Tester.new }

  # @return [Integer] those of more may do all that those of less may
  def rank = ROLES.index(role)
  def owner? = role == "owner"
  def student? = role == "student"
  def code? = code_digest.present?
  def signs_in? = password_digest.present?
  def second_step? = second_secret.present?

  # @param secret [String, nil] code or password
  def knows?(secret)
    return false if secret.blank?

    (code? && authenticate_code(secret).present?) || (signs_in? && authenticate(secret).present?)
  end

  # @return [String] what they show themselves by
  def secrets
    kept = [ ("their code" if code?), ("their password" if signs_in?) ].compact
    kept.join(" or ").presence || "nothing yet: the owner gives #{name} a code or a password"
  end

  # @return [Hash] a person of rhexon-shop/1; hours of the shop where they have none of their own
  def to_core
    own = open_hours.to_a
    rows = own.any? ? own : OpenHour.where(person: nil).to_a
    {
      "id" => name, **(at_bench ? {} : { "away" => true }), "own_pieces_only" => own_pieces_only,
      "skills" => skills, "week" => OpenHour.week(rows),
      "except" => OpenHour.exceptions(rows + (own.any? ? OpenHour.where(person: nil).where.not(date: nil).to_a : []))
    }
  end

  # Ends what they are signed in on, and what they have taken over, but for the device that asks.
  # @param but [Session, nil]
  def end_everywhere!(but: nil)
    sessions.or(Session.where(hands: self)).where.not(id: but&.id).delete_all
    Session.where("EXISTS (SELECT 1 FROM json_each(known) WHERE value = ?)", id).find_each do |session|
      session.update!(known: session.known - [ id ])
    end
  end

  private

  def password_is_hard_to_guess
    unless password.length >= PASSWORD.begin && password.bytesize <= PASSWORD.end
      return errors.add(:password, "A password is #{self.class.password_words}.")
    end
    return if self.class.judge.test(password, [ name.to_s, Shop.first&.name.to_s ]).score >= LEAST_STRENGTH

    errors.add(:password, "That password is too easy to guess. Use a few words that have nothing to do with each " \
                          "other.")
  end
end
