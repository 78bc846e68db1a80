# Blind pairs of a board: which are still to be shown, and what the picks so far say.
class Board::Pairs
  # @param board [Board]
  def initialize(board)
    @cells = board.cells.select { |cell| cell.ruined.nil? && cell.role != "bare" }
    @seed = board.id
  end

  # @return [Hash, nil] nil with fewer than two cells
  def to_h
    return if ids.size < 2

    shown = picks.map(&:sort)
    order = Rhexon::Boards::Pairs.order(ids, @seed)
    {
      left: order.reject { |pair| shown.include?(pair.sort) }, picks: picks.size, strengths: strengths,
      sure: picks.any? && Rhexon::Boards::Pairs.ahead?(ids, picks)
    }
  end

  private

  def ids = @cells.map(&:id)
  def picks = @picks ||= PairPick.where(winner_id: ids, loser_id: ids).order(:id).pluck(:winner_id, :loser_id)

  def strengths
    return [] if picks.empty?

    labels = @cells.to_h { |cell| [ cell.id, cell.label ] }
    Rhexon::Boards::Pairs.strengths(ids, picks).map do |standing|
      {
        id: standing.id, label: labels[standing.id], strength: standing.strength.round(2), sd: standing.sd.round(2),
        wins: standing.wins, losses: standing.losses
      }
    end
  end
end
