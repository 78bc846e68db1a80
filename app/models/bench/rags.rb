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
    rows = Entry.uncorrected.where(kind: WORK, happened_at: from..@now).where.not(pass_key: nil)
      .pluck(:happened_at, :piece_id, :pass_key)
    steps = steps_of(rows.map(&:second).uniq)
    rows.map { |at, piece, key| [ at, product(steps[piece], key) ] }
  end

  def from
    ticked = Entry.uncorrected.where(kind: "rags").maximum(:happened_at)
    [ ticked, @now - DAYS.days ].compact.max
  end

  # Of steps that were taken out of the schedule since nothing is known any more.
  def product(steps, key)
    id = key.split("/")[1]
    step = steps&.find { |one| one["id"] == id }
    step && Shelf.products[step["product"]]
  end

  # @return [Hash{Integer=>Array<Hash>}] by piece
  def steps_of(pieces)
    Schedule.where(piece_id: pieces).includes(:head).to_h { |schedule| [ schedule.piece_id, schedule.steps ] }
  end
end
