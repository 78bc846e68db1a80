# Where the plan has a pass: written when something that plans depend on was, read by every page.
class PlannedPass < ApplicationRecord
  FIELDS = %w[pass_key start_min person because mark scuff hands_min].freeze

  belongs_to :piece

  validates :pass_key, presence: true
  validates :start_min, numericality: { only_integer: true }

  # @return [Hash{String=>Array}] fields by pass
  def self.places = pluck(*FIELDS).index_by(&:first)

  # @param clock [Rhexon::Zone]
  # @return [Array<Hash>] "previous" of rhexon-shop/1
  def self.to_core(clock)
    rows = order(:start_min, :pass_key).pluck(*FIELDS).map do |key, start_min, person, because, mark, scuff, hands_min|
      { "pass" => key, "start" => clock.iso(start_min), "person" => person, "because" => because, "mark" => mark,
        "scuff" => scuff, "hands_min" => hands_min }.compact
    end
    Rhexon::Reference.freeze_deep(rows)
  end
end
