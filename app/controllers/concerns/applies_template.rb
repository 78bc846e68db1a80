# A recipe of the book for a piece.
module AppliesTemplate
  extend ActiveSupport::Concern
  include NamesPiece

  TAKES = { piece_id: :whole, version: :whole, values: :table, products: :table }.freeze

  private

  def piece = piece_of_body
  def applied = @applied ||= Template::Applied.new(version, piece, body.slice("values", "products"))
  def version = Template.find(params[:template_id]).version(body["version"])
end
