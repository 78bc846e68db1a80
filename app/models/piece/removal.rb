# Pieces that are put away: deleted where nothing was done on them yet, archived where the log knows them. Nothing of
# them is lost, and they can be restored.
class Piece::Removal
  # So long what was deleted is offered back; what is archived stays so.
  OFFERED = 30.days

  # @return [Array<Piece>] that can be restored, the last first
  def self.offered
    logged = Entry.select(:piece_id)
    Piece.put_away.where(put_away_at: OFFERED.ago..).or(Piece.put_away.where(id: logged))
      .includes(:job).order(put_away_at: :desc)
  end

  # @param pieces [Array<Piece>]
  def initialize(pieces)
    @pieces = pieces
  end

  # All at the same moment, so that they can be restored together.
  def remove!(now: Time.current) = Piece.transaction { @pieces.each { |piece| piece.update!(put_away_at: now) } }

  # @raise [ActiveRecord::RecordInvalid] where another piece has the name by now
  def restore! = Piece.transaction { @pieces.each { |piece| piece.update!(put_away_at: nil) } }
end
