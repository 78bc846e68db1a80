# A can, a jar or a mix on the shelf, with its dates. What is left in it is the sum of its moves.
class Batch < ApplicationRecord
  # Made of maker, name and what was done with it.
  def self.most_letters(column) = column == "name" ? WORDS : super

  STATES = %w[sealed opened mixed catalysed].freeze

  belongs_to :product, optional: true
  belongs_to :mix, optional: true
  has_many :stock_moves, dependent: :restrict_with_error

  validates :name, presence: true
  validates :state, inclusion: { in: STATES }

  # With what is left in each, in one query.
  scope :with_left,
        -> {
          left_joins(:stock_moves).group(:id).select("batches.*, COALESCE(SUM(stock_moves.grams), 0) AS left_g_sum")
        }
  scope :standing, -> { where(discarded_at: nil) }

  # A new can.
  # @return [Batch]
  def self.receive!(product, grams:, lot: nil, state: "sealed", on: Date.current, client_id: SecureRandom.uuid)
    known = StockMove.find_by(client_id: client_id)
    return known.batch if known

    transaction do
      batch = create!(
        product: product, name: product.full_name, state: state, lot: lot, made_on: on,
        opened_on: (on unless state == "sealed"),
        expires_on: Rhexon::Stock::Keeping.until(product.to_value, state, on,
                                                 shellac_months: Shop.current.shellac_months)
      )
      StockMove.record!(batch: batch, grams: grams, reason: "received", client_id: client_id)
      batch
    end
  end

  def left_g = (has_attribute?(:left_g_sum) ? left_g_sum : stock_moves.sum(:grams)).to_f.round(2)

  # Opening starts the shorter shelf life; it never lengthens the one of the sealed can.
  def open!(on: Date.current)
    return unless state == "sealed"

    opened = Rhexon::Stock::Keeping.until(product.to_value, "opened", on)
    update!(state: "opened", opened_on: on, expires_on: [ expires_on, opened ].compact.min)
  end

  # Weighed or measured: what is left is this.
  def weigh!(grams, client_id:)
    Rhexon.refuse_unless(
      grams.between?(0, 1_000_000), "#{grams.round} g cannot be left in it", where: "left", accepted: "0 g or more"
    )
    StockMove.record!(batch: self, grams: grams - left_g, reason: "weighed", client_id: client_id)
  end

  def discard!(client_id:, at: Time.current)
    transaction do
      StockMove.record!(batch: self, grams: -left_g, reason: StockMove::THROWN_AWAY, client_id: client_id)
      update!(discarded_at: at)
    end
  end

  # A touch-up is filled off into a jar of its own and not used up.
  # @return [Batch] the kept jar
  def keep_touch_up!(grams, client_id:)
    known = StockMove.find_by(client_id: client_id)
    return known.batch if known

    Rhexon.refuse_unless(
      grams.positive? && grams <= left_g, "#{grams.round} g cannot be filled off", where: "grams",
      accepted: "more than 0 and up to #{left_g.round} g"
    )
    transaction do
      jar = dup.tap do |copy|
        copy.update!(name: "#{name}, touch-up", kept: true, mix: nil, product: product,
                     state: state == "sealed" ? "opened" : state, opened_on: opened_on || Date.current)
      end
      StockMove.record!(batch: jar, grams: grams, reason: "filled off from #{code}", client_id: client_id)
      StockMove.record!(batch: self, grams: -grams, reason: "filled off into #{jar.code}",
                        client_id: "#{client_id}-out")
      jar
    end
  end

  # All cans poured together for even colour: one lot.
  # @return [Batch] the boxed lot
  def self.box!(batches, client_id:)
    known = StockMove.find_by(client_id: "#{client_id}-0")
    return known.batch if known

    Rhexon.refuse_unless(
      batches.size > 1 && batches.map(&:product_id).uniq.one? && batches.none?(&:kept),
      "Boxing pours cans of one product together", where: "batches",
      accepted: "two or more cans of one product, no touch-ups"
    )
    transaction do
      boxed = create!(
        product: batches.first.product, name: batches.first.product.full_name, state: "opened", boxed: true,
        lot: batches.filter_map(&:lot).uniq.sort.join(" + ").presence, made_on: Date.current, opened_on: Date.current,
        expires_on: [
          *batches.filter_map(&:expires_on),
          Rhexon::Stock::Keeping.until(batches.first.product.to_value, "opened", Date.current)
        ].compact.min
      )
      batches.each_with_index do |batch, index|
        StockMove.record!(batch: boxed, grams: batch.left_g, reason: "boxed from #{batch.code}",
                          client_id: "#{client_id}-#{index}")
        StockMove.record!(batch: batch, grams: -batch.left_g, reason: "boxed into #{boxed.code}",
                          client_id: "#{client_id}-#{index}-out")
      end
      boxed
    end
  end

  # What was in it when it came or was mixed.
  def received_g = stock_moves.select { |move| move.grams.positive? }.sum(&:grams).round(1)

  # What it looks like in the jar.
  def look
    return "pigmented" if product&.colour == "pigmented"
    return product.colour if %w[tinted ambering].include?(product&.colour)

    product&.to_value&.waterborne? ? "milk" : "clear"
  end

  # Mixed shellac old enough to be tried on glass before it is used.
  def smear_first?(today)
    state == "mixed" && product&.kind == "shellac" && made_on && Rhexon::Mixing::Cuts.smear_first?(made_on, today)
  end

  def density_g_per_ml = (mix ? mix.sheet.recipe.density_g_per_ml : product.to_value.density_g_per_ml.value).round(3)

  # Number on the jar's label.
  def code = self.class.code(id)
  def self.code(id) = format("J%04d", id)

  STOCK = %w[
    batches.id products.code batches.state batches.opened_on batches.made_on batches.expires_on batches.lot
    batches.boxed batches.kept batches.usable_until mixes.pass_keys
  ].freeze

  # What can be counted on, in one query.
  # @return [Array<Hash>] batches of rhexon-shop/1
  def self.stock(now: Time.current)
    rows = standing.joins(:product)
      .left_joins(:mix, :stock_moves)
      .group(:id)
      .order(:id)
      .having("SUM(stock_moves.grams) >= 0.5")
      .pluck(*STOCK, Arel.sql("SUM(stock_moves.grams)"))
    rows.filter_map do |row|
      id, product, state, opened_on, made_on, expires_on, lot, boxed, kept, usable_until, pass_keys, grams = row
      next if usable_until && usable_until < now

      {
        "id" => code(id), "product" => product, "g" => grams.round(2), "state" => state,
        "opened_on" => (opened_on || made_on)&.iso8601, "expires_on" => expires_on&.iso8601, "lot" => lot,
        "boxed" => boxed, "kept" => kept, "passes" => pass_keys || []
      }
    end
  end
end
