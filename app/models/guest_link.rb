# A link for somebody outside: it shows one handover or one approval and nothing else, and ends when told. Only the
# digest of its token is kept, so that it is told once.
class GuestLink < ApplicationRecord
  KINDS = %w[handover approval].freeze
  # So far ahead a link may end.
  LONGEST = 5.years

  belongs_to :piece, optional: true
  belongs_to :job, optional: true
  belongs_to :cell, optional: true
  belongs_to :person, optional: true

  scope :live, -> { where(ended_at: nil).where("ends_at IS NULL OR ends_at > ?", Time.current) }

  class << self
    # @param kind [String] of KINDS
    # @param of [Piece, Job, Cell]
    # @param names [Boolean] whether products are named
    # @param ends_on [Date, nil] the last day it is shown on
    # @param for_name [String, nil] in whose name alone a look is approved by it
    # @return [Array(GuestLink, String)] with its token
    # @raise [Rhexon::InvalidInput]
    def make!(kind, of, names: false, ends_on: nil, for_name: nil)
      check!(kind, of, ends_on)
      token = SecureRandom.urlsafe_base64(24)
      link = create!(kind: kind, of.model_name.singular => of, names: names, token_digest: digest(token),
                     person: Current.person, created_at: Time.current, for_name: for_name,
                     ends_at: ends_on&.in_time_zone(Shop.current.zone)&.end_of_day)
      [ link, token ]
    end

    # @return [GuestLink, nil] one that has not ended
    def of_token(token) = live.find_by(token_digest: digest(token.to_s))

    private

    def digest(token) = Digest::SHA256.hexdigest(token)

    def check!(kind, of, ends_on)
      fits = { "handover" => [ Piece, Job ], "approval" => [ Cell ] }[kind]&.include?(of.class)
      Rhexon.refuse_unless(fits, "A link shows a handover or a look to be approved", where: "kind",
                           accepted: KINDS.join(", "))
      Rhexon.refuse_unless(kind != "approval" || of.board.piece, "The board is for no piece, so there is nothing to " \
                           "approve it for", where: "cell", accepted: "a board of a piece")
      today = Shop.current.clock.date(Time.current.to_i / 60)
      Rhexon.refuse_unless(ends_on.nil? || ends_on.between?(today, today + LONGEST), "It would end on #{ends_on}",
                           where: "ends_on", accepted: "a day from today on, within five years")
    end
  end

  def end!
    update!(ended_at: Time.current)
    Shop::Ended.link!(self)
    true
  end

  # @return [Entry, nil] the first approval that was given by it
  def approval = Entry.where(kind: "approved").where("body ->> 'link' = ?", id).order(:id).first

  # Kept with the link, and once an hour on the record.
  def seen!
    AuditLine.note!("link_opened", link: id, shows: kind) unless seen_at && seen_at > 1.hour.ago
    update_columns(seen_at: Time.current)
  end

  # @return [Boolean] whether it still shows something
  def live? = ended_at.nil? && (ends_at.nil? || ends_at.future?)

  # @return [Array<Piece>] that it tells of
  def pieces = job ? job.pieces.to_a : [ piece || cell.board.piece ]
end
