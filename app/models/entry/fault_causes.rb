# What is known at the hour of a coat that went wrong, and what the hand says of it: the likely causes in their order.
class Entry::FaultCauses
  # @param piece [Piece]
  # @param pass [String] key of the coat at fault
  # @param fault [Rhexon::Faults::Fault]
  # @param plan [Rhexon::Planning::Plan]
  def initialize(piece, pass, fault, plan)
    @piece = piece
    @pass = pass
    @fault = fault
    @plan = plan
  end

  # @param answers [Hash{String=>Boolean}] cause => yes or no
  # @return [Array<Rhexon::Diagnosis::Ranking::Cause>]
  def causes(answers = {})
    placement = @plan.placements.find { |one| one.pass.key == @pass } or return []
    Rhexon::Diagnosis::Ranking.new(
      @fault, Rhexon::Diagnosis::Evidence.new(@plan, placement, poured: poured, surface_c: surface_c), answers
    ).causes
  end

  private

  # What was weighed of the hardener into the mix that the pass was laid on from, parts to 100 of the base.
  def poured
    mix = Mix.where("EXISTS (SELECT 1 FROM json_each(mixes.pass_keys) WHERE value = ?)", @pass).order(:id)
      .select(&:hardened_at).last or return
    hardener = mix.sheet.recipe.components.find { |part| part.role == "hardener" } or return
    real = Mix::PotState.new(mix).pours.find { |pour| pour.name == hardener.name }&.real or return
    { "name" => hardener.name, "parts" => real, "range" => hardener.range }
  end

  def surface_c
    Entry.standing(@piece).select { |entry| entry.pass_key == @pass && entry.kind == "measured" }
      .filter_map { |entry| entry.body["surface_c"] }.last
  end
end
