# A recipe of the book for a piece.
module AppliesTemplate
  extend ActiveSupport::Concern

  TAKES = { piece_id: :whole, version: :whole, values: :table, products: :table }.freeze

  private

  def piece
    Rhexon.refuse_unless(body["piece_id"].is_a?(Integer), "Choose a piece", where: "piece_id")
    @piece ||= Piece.includes(:faces, :job, schedule: :head).find(body["piece_id"])
  end

  def applied = @applied ||= Template::Applied.new(version, piece, body.slice("values", "products"))
  def version = Template.find(params[:template_id]).version(body["version"])
end
