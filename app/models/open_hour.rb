# Open hours of a person, or of the shop where person is null: by weekday, or for one date. A date without times is
# closed.
class OpenHour < ApplicationRecord
  DAYS = %w[sun mon tue wed thu fri sat].freeze
  belongs_to :person, optional: true

  def self.week(rows)
    rows.select(&:weekday).group_by(&:weekday).to_h { |day, hours| [ DAYS[day], hours.map(&:span).sort ] }
  end

  def self.exceptions(rows)
    rows.select(&:date).group_by(&:date).sort.map do |date, hours|
      { "date" => date.iso8601, "open" => hours.map(&:span).select(&:first).sort }
    end
  end

  def span = [ opens, closes ]
end
