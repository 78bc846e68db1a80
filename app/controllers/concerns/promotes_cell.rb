# A cell as the schedule of a piece.
module PromotesCell
  extend ActiveSupport::Concern
  include OfCell
  include NamesPiece

  TAKES = { piece_id: :whole, methods: :table }.freeze

  private

  def piece = piece_of_body
  def promoted = cell.promotion(piece, body["methods"] || {}, today: Shop.current.clock.date(Time.current.to_i / 60))
end
