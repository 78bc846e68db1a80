# Rags and dust that heat themselves: what was used since somebody last said that they are dealt with. They hold the
# day open.
class Bench::Rags
  # What is older has caught fire or not.
  DAYS = 3
  # Work by which rags and dust come about.
  WORK = %w[started done].freeze

  # @!attribute since [Integer] minute of the first work that left some
  # @!attribute names [Array<String>] what they are of
  Left = Struct.new(:since, :names, keyword_init: true)

  def initialize(now: Time.current)
    @now = now
  end

  # @return [Left, nil] nil: none are left
  def left
    used = rows.filter_map { |at, product| [ at, product ] if product && heats?(product) }
    return if used.empty?

    Left.new(since: used.map(&:first).min.to_i / 60, names: used.map { |_, product| product.name }.uniq.sort)
  end

  private

  def heats?(product) = Rhexon::Materials::Cautions.self_heating?(product)

  # @return [Array<Array(Time, Rhexon::Materials::Product)>]
  def rows
    entries = Entry.uncorrected.where(kind: WORK, happened_at: from..@now).includes(piece: { schedule: :head })
    entries.map { |entry| [ entry.happened_at, product(entry) ] }
  end

  def from
    ticked = Entry.uncorrected.where(kind: "rags").maximum(:happened_at)
    [ ticked, @now - DAYS.days ].compact.max
  end

  # Of steps that were taken out of the schedule since nothing is known any more.
  def product(entry)
    id = entry.pass_key.to_s.split("/")[1]
    step = entry.piece&.schedule&.steps&.find { |one| one["id"] == id }
    step && Shelf.products[step["product"]]
  end
end
