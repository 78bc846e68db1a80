# The shop plan as its page shows it.
class ShopPlanState
  DOTS = 40

  # @param part [String, nil] which pieces are drawn; past the end the last ones
  def initialize(part = nil)
    @wanted = part
  end

  def floor = @floor ||= ShopFloor.new

  # @return [Hash] PlanPage
  def to_h = PlanPageSerializer.new(page).to_h

  # @return [Array<Hash>] each goal with its dates, sessions, hands and what would move
  def goals
    Rhexon::Search::Goal::NAMES.map do |name|
      GoalSerializer.new(Plan::GoalAnswer.new(name, aimed_at(name), floor.plan)).to_h
    end
  end

  # @return [Array<Hash>] by piece that is not ready yet
  def chances = floor.pieces.filter_map { |piece| (chance = chance_of(piece)) && ChanceSerializer.new(chance).to_h }

  # @param piece [Piece]
  # @return [PieceChance, nil] nil when it is ready, or never will be
  def chance_of(piece)
    ready = floor.plan.build.ready[piece.core_id]
    Piece::Chance.new(outlook, floor.plan, piece.core_id) if ready && ready > floor.plan.shop.now
  end

  private

  # The plan that is kept, or what a search for another goal finds.
  def aimed_at(name)
    name == Shop.current.goal ? floor.plan : floor.plan_otherwise("goal" => name, "effort" => "quick")
  end

  def page
    list = ListPage.new(floor.pieces, @wanted, size: Rhexon::Picture::ShopPlan::MOST)
    drawn = floor.draw do |plan|
      ShopPlanSerializer.new(Rhexon::Picture::ShopPlan.new(plan, part: list.number)).to_h
    end
    { plan: drawn, page: list, goal: Shop.current.goal, moved: Plan::Told.since_closed(floor.plan),
      pieces: floor.pieces.map { |piece|
        { core_id: piece.core_id, id: piece.id, name: piece.name, count: piece.count, client: piece.job.client,
          worst: worst_of(piece), priority: piece.turn }
      } }
  end

  # The gravest level that stands against a piece; a large shop's are looked at one by one.
  def worst_of(piece)
    return if floor.plan.model.large?

    levels = Piece::Levels.of(floor.plan, piece)
    %w[stop caution].find { |level| levels[level] }
  end

  def outlook = @outlook ||= Rhexon::Chance::Outlook.new(floor.plan)
end
