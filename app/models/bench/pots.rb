# Pots that stand on the bench: mixes begun, and catalysed ones until a while after their pot life.
class Bench::Pots
  Pot = Struct.new(:path, :name, :left_g, :whole_g, :mixed_at, :usable_until, :open, :serves, keyword_init: true)
  # A pot past its life is shown this long, so that somebody throws it away before it sets.
  AFTER = 3.hours

  def initialize(now: Time.current)
    @now = now
  end

  # @return [Array<Pot>] the soonest to set first
  def to_a = (begun + catalysed).sort_by { |pot| [ pot.usable_until || Float::INFINITY, pot.path ] }

  private

  def begun
    Access.of(Mix.open.includes(:product, :room)).reject { |mix| mix.pours.empty? }.map do |mix|
      Pot.new(path: "/mix/#{mix.id}", name: mix.name, left_g: mix.poured.sum { |pour| pour["g"] },
              whole_g: mix.correction.total_g.round(1), mixed_at: minute(mix.hardened_at),
              usable_until: minute(mix.usable_until), open: true, serves: mix.pass_keys.size)
    end
  end

  def catalysed
    Batch.standing
      .with_left
      .where(state: "catalysed")
      .where("usable_until > ?", @now - AFTER)
      .preload(:mix, :stock_moves)
      .select { |batch| batch.left_g >= 1 }
      .map do |batch|
        Pot.new(path: "/batches/#{batch.id}", name: batch.name, left_g: batch.left_g, whole_g: batch.received_g,
                mixed_at: minute(batch.mix&.hardened_at), usable_until: minute(batch.usable_until), open: false,
                serves: batch.mix&.pass_keys&.size.to_i)
      end
  end

  def minute(time) = time && time.to_i / 60
end
