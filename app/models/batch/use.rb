# What a mix was used for and what its pot says of the film: film by mass balance.
class Batch::Use
  def initialize(batch)
    @batch = batch
  end

  # @return [Hash] passes in words, and per laid coat the real wet film where it can be told
  def to_h
    state = @batch.mix && Mix::PotState.new(@batch.mix)
    {
      serves: state&.serves || [], components: components, film_um: film_um, planned_um: passes.first&.wet_um,
      area_m2: area&.round(2)
    }
  end

  private

  def components
    return [] unless @batch.mix

    @batch.mix.poured.group_by { |pour| pour["name"] }.map do |name, pours|
      { name: name, g: pours.sum { |pour| pour["g"] }.round(1) }
    end
  end

  # Passes it was mixed for that are done.
  def passes
    @passes ||= @batch.mix &&
      @batch.mix.pass_keys.any? ? ShopFloor.new
        .plan
        .placements
        .select { |placement| @batch.mix.pass_keys.include?(placement.pass.key) && placement.status == "done" }
        .map(&:pass) : []
  end

  def area = passes.any? ? passes.sum { |pass| pass.area_m2 * pass.count } : nil

  # (pot before - pot after) · TE / (density · area), once the pot was weighed after the work.
  def film_um
    return unless area && @batch.stock_moves.exists?(reason: "weighed")

    used = @batch.stock_moves.where(reason: "mixed").sum(:grams) - @batch.left_g
    laying = Rhexon::Mixing::Laying.of_pass(passes.first)
    Rhexon::Mixing::Laying.film_um(used_g: used, density_g_per_ml: @batch.mix.sheet.recipe.density_g_per_ml,
                                   area_m2: area, transfer_efficiency: laying.transfer_efficiency).round
  end
end
