# A mix as its page shows it: each pour with what is in, what is still to go in and the band that is accepted.
class Mix::PotState
  # @!attribute low_add_g, high_add_g [Float] what may still go in, least and most
  # @!attribute state [String] waiting, short (some is in), done
  Pour = Struct.new(:name, :role, :share, :real, :g, :first_g, :ml, :low_add_g, :high_add_g, :add_g, :add_ml,
                    :low_add_ml, :high_add_ml, :poured_g, :state, :estimate, :accepted, :note, :shelf_g,
                    keyword_init: true)
  # @!attribute grams [Float] what was poured
  Poured = Struct.new(:id, :name, :grams, :at, keyword_init: true)

  attr_reader :mix

  delegate :id, :name, :container_ml, :resolution_g, :usable_min, :correction, :sheet, to: :mix

  def initialize(mix)
    @mix = mix
  end

  def pours = @pours ||= correction.pours.zip(sheet.pours).map { |now, first| pour(now, first) }
  def poured_g = mix.poured.sum { |pour| pour["g"] }.round(2)
  def total_g = correction.total_g.round(2)
  def total_ml = correction.total_ml.round(1)
  def planned_g = sheet.total_g.round(2)
  def factor = correction.factor.round(4)
  def options = correction.options
  def stir_again = correction.stir_again?
  def too_small = sheet.too_small?
  def smallest_total_g = sheet.smallest_total_g.ceil
  def estimate = sheet.recipe.estimate?
  def room = mix.room&.name
  def t_c = mix.room&.air_at(mix.hardened_at || Time.current)&.t_c&.round(1)
  def hardened_at = minute(mix.hardened_at)
  def usable_until = minute(mix.usable_until)
  def closed = !mix.closed_at.nil?
  def batch = mix.batch && { id: mix.batch.id, code: mix.batch.code, left_g: mix.batch.left_g }
  def thrown_away = closed && mix.batch.nil?
  def steps = mix.steps
  def cautions = mix.product ? Rhexon::Materials::Cautions.for(mix.product.to_value, nil).map(&:text) : []

  def log
    mix.pours.map do |entry|
      Poured.new(id: entry.id, name: entry.body["name"], grams: entry.body["g"], at: minute(entry.happened_at))
    end
  end

  def complete = pours.all? { |pour| pour.state == "done" }

  # @return [Array<String>] what it is for
  def serves
    theirs = Access.of(Piece).where(id: mix.pass_keys.map { |key| piece_of(key) }).ids
    mix.pass_keys.select { |key| theirs.include?(piece_of(key)) }.map { |key| pass_words(key) }
  end

  # @return [Integer, nil] piece to go back to
  def piece_id = mix.pass_keys.first&.then { |key| piece_of(key) }

  private

  def piece_of(key) = Piece.id_of(key.split("/").first)

  def pour(now, first)
    component = first.component
    ml = ->(grams) { (grams / component.density_g_per_ml).round(1) }
    Pour.new(
      name: component.name, role: component.role, share: component.label, real: real_share(component),
      g: now.final_g.round(2), first_g: first.g.round(2), ml: ml.(now.final_g), **to_add(now, ml),
      poured_g: mix.poured_g(component.name).round(2), state: now.state(resolution_g), estimate: component.estimate?,
      accepted: correction.accepted[component.name]&.round(2), note: component.note, shelf_g: component.left_g&.round
    )
  end

  # What is still to go in, and the band that is accepted.
  def to_add(now, ml)
    { add_g: now.add_g.round(2), low_add_g: now.low_add_g.round(2), high_add_g: now.high_add_g.round(2),
      add_ml: ml.(now.add_g), low_add_ml: ml.(now.low_add_g), high_add_ml: ml.(now.high_add_g) }
  end

  # What its share comes to with what is in the pot, as the recipe reads it.
  def real_share(component)
    amounts = sheet.recipe.components.map { |other| mix.poured_g(other.name) }
    return if amounts[0].zero? || amounts[sheet.recipe.index(component.name)].zero?

    sheet.recipe.own_reading(sheet.recipe.index(component.name), amounts).round(2)
  end

  def pass_words(key)
    piece_id, step_id, coat, = key.split("/")
    piece = Piece.from_core(piece_id)
    step = piece.schedule.steps.find { |candidate| candidate["id"] == step_id }
    return "#{piece.name}: coat #{coat} of #{step["coats"]}" if step && step["coats"].to_i > 1

    "#{piece.name}: #{step ? Rhexon::Schedule::Words.step(step, mix.product&.name) : "coat #{coat}"}"
  end

  def minute(time) = time && time.to_i / 60
end
