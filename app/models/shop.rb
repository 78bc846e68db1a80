# The shop itself: one row.
class Shop < ApplicationRecord
  attribute :goal, default: Rhexon::Search::Goal::NAMES.first
  validates :name, presence: { message: "Name the shop." }
  validate :zone_is_known
  UNITS = %w[metric us].freeze
  BETTER_PLANS = %w[ask night].freeze
  validates :better_plan, inclusion: { in: BETTER_PLANS, message: "A better plan is asked about, or taken at night." }
  validates :units, inclusion: { in: UNITS, message: "Units are metric or us." }
  validates :currency, inclusion: { in: ->(_) { Shop::Country::CURRENCIES }, if: :currency_changed?,
                                    message: "A currency is three letters, such as EUR or USD." }
  normalizes :address, with: ->(address) { address.strip.delete_suffix("/").presence }
  validates :address, format: { with: ->(_) { Shop::Address::FORMAT }, allow_nil: true,
                                message: "An address is as a browser has it, such as http://192.168.1.20:3000." },
                      length: { maximum: 200 }
  validates :scale_g, numericality: { greater_than: 0 }

  def self.current = first || raise(ActiveRecord::RecordNotFound, "The shop is not set up yet: run bin/setup")

  # @return [Rhexon::Zone]
  def clock = @clock ||= Rhexon::Zone.new(zone)

  # @param rule [String] a house rule
  # @raise [Rhexon::InvalidInput] when there is no such rule or it cannot be so
  def rule!(rule, value)
    own = Rhexon::Planning::Schools.of_the_shop.to_h { |name| [ name, Rhexon::Planning::Schools.options(name) ] }
      .merge("dust_settles_min" => 0..1440)
    if own.key?(rule) then Rhexon.refuse_unless(
      value.is_a?(Integer) && own[rule].include?(value), "#{rule.tr("_", " ").capitalize} cannot be #{value.inspect}",
      where: rule, accepted: own[rule].is_a?(Range) ? "0 to 1440 min" : own[rule].join(", ")
    )
    else Rhexon::Schedule::Document.check!(Rhexon::Schedule::Document.empty.merge("house" => { rule.to_s => value }))
    end
    update!(house: house.merge(rule => value).compact)
  end

  # Judges a check otherwise for the whole shop, or as usual again.
  # @param as [String, nil] stop, caution, note or silent; nil: as usual
  # @param reason [String]
  # @raise [Rhexon::InvalidInput] for checks of safety and of the date, and without a reason
  def judge!(check, as, reason)
    operation = { "op" => "judge", "check" => check, "as" => as, "reason" => reason }.compact
    document = Rhexon::Schedule::Document.empty.merge("house" => house.slice("checks").compact)
    after = Rhexon::Schedule::Edit.apply(document, operation.merge("as" => as))
    update!(house: house.merge("checks" => after.dig("house", "checks")).compact)
  end

  # What quotes are reckoned with.
  # @param given [Hash] of Rhexon::Compare::Quote::TERMS; nil for one that is not set any more
  # @raise [Rhexon::InvalidInput]
  def terms!(given)
    Rhexon::Compare::Quote.check!(given)
    update!(terms: terms.merge(given).compact)
  end

  # Says how fast hands are at some work, times the estimate.
  # @param work [String] of Rhexon::Planning::Pace.works
  # @param factor [Numeric, nil] nil: as estimated, or as they taught
  # @raise [Rhexon::InvalidInput]
  def pace!(work, factor)
    Rhexon.refuse_unless(Rhexon::Planning::Pace.works.include?(work), "There is no such work", where: "work",
                         accepted: "a kind of work of the list")
    Rhexon.refuse_unless(factor.nil? || (factor.is_a?(Numeric) && Rhexon::Planning::Pace::SAID.cover?(factor)),
                         "#{factor.inspect} times the estimate is out of range", where: "factor",
                         accepted: "0.2 to 5 times")
    update!(paces: paces.merge(work => factor).compact)
  end

  # House rules where finishers disagree, less the checks that are judged otherwise.
  def ways = Rhexon::Planning::Shop::HOUSE.merge(house).except("checks")

  def shellac_months = house["shellac_months"] || Rhexon::Planning::Shop::HOUSE.fetch("shellac_months")

  private

  def zone_is_known
    clock
  rescue Rhexon::InvalidInput => refusal
    errors.add(:zone, refusal.message)
  end
end
