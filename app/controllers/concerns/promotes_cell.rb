# A cell as the schedule of a piece.
module PromotesCell
  extend ActiveSupport::Concern
  include OfCell

  TAKES = { piece_id: :whole, methods: :table }.freeze

  private

  def piece
    Rhexon.refuse_unless(body["piece_id"].is_a?(Integer), "Choose a piece", where: "piece_id")
    @piece ||= Piece.find(body["piece_id"])
  end

  def promoted = cell.promotion(piece, body["methods"] || {}, today: Shop.current.clock.date(Time.current.to_i / 60))
end
