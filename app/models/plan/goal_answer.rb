# What one goal would make of the plan.
Plan::GoalAnswer = Struct.new(:name, :plan, :now) do
  def ready_at = plan.build.ready.values.compact.max

  def first_at
    plan.placements.select { |placement| placement.status == "planned" && placement.hands.any? }.map(&:hands_start).min
  end

  def sessions = plan.model.goal.sessions(plan.trial)
  def hands_min = plan.model.goal.hands_min(plan.trial)
  def scuffs = plan.build.scuffs.size
  def late_min = plan.build.late_min
  # Passes that would start at another time.
  def moves = starts(plan).count { |key, start| (was = starts(now)[key]) && was != start }

  private

  def starts(plan)
    plan.placements
      .select { |placement| placement.status == "planned" && placement.hands.any? }
      .to_h { |placement| [ placement.pass.key, placement.hands_start ] }
  end
end
