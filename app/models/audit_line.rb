# One line of what happened around the way in: who signed in or was refused, what was given, taken, sent out and put
# back. Append-only. What is done at the bench stands in the log.
class AuditLine < ApplicationRecord
  # What is told, as a person reads it.
  WORDS = {
    "signed_in" => "signed in", "sign_in_refused" => "wrong name or password",
    "signed_out" => "signed out", "signed_out_elsewhere" => "signed out other devices",
    "taken_over" => "took over a device", "code_refused" => "wrong code entered",
    "confirmed" => "password confirmed", "confirm_refused" => "wrong password at confirmation",
    "owner_first" => "became the first owner", "role" => "role changed", "password" => "password changed",
    "code" => "code changed", "second_step" => "second step set up", "second_dropped" => "second step turned off",
    "second_refused" => "wrong digits at the second step",
    "account_removed" => "can no longer sign in", "person" => "person added",
    "link_made" => "link made", "link_opened" => "link opened", "link_ended" => "link ended",
    "approved" => "look approved by link", "archive_sent" => "shop exported to a file",
    "archive_taken" => "shop imported from a file", "backup_made" => "backup made",
    "backup_restored" => "backup restored", "settings" => "settings changed", "terms" => "rates changed",
    "file_taken" => "file imported"
  }.freeze
  # Those that an owner looks at first.
  REFUSED = %w[sign_in_refused code_refused confirm_refused second_refused].freeze

  belongs_to :person, optional: true

  validates :kind, inclusion: { in: WORDS.keys }

  def readonly? = persisted?

  class << self
    # Whatever is wrong with the shop's file, nobody is kept out or in by a line that was not written.
    # @param kind [String] of WORDS
    # @param person [Person, nil] whom it is about
    # @param detail [Hash] plain values
    # @return [AuditLine, nil]
    def note!(kind, person: nil, **detail)
      session = Current.session
      by = session&.actor&.name || detail.delete(:by)
      create!(kind: kind, at: Time.current, person: person, by: by.to_s.first(200).presence, device: session&.device,
              address: Current.address.to_s.first(60).presence, detail: detail.compact)
    rescue ActiveRecord::StatementInvalid => error
      logger.warn("Not audited: #{kind}: #{error.message}")
      nil
    end

    # @return [AuditLine, nil] the last time that somebody signed in on a device they had not used before
    def new_device(person, since)
      where(kind: "signed_in", person: person, at: since..).where("detail ->> 'new_device'").order(:id).last
    end

    # @return [Integer] refusals of the last day, less those that an owner has seen
    def refusals(since) = where(kind: REFUSED, at: since..).count
  end
end
