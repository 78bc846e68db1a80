# A piece that the address or the body names, and that is worked on.
module NamesPiece
  private

  def piece = @piece ||= Access.named(Piece.includes(:faces, :job, schedule: :head), params[:piece_id])
  def worked_on = piece

  # The piece of the body.
  def piece_of_body
    Rhexon.refuse_unless(body["piece_id"].is_a?(Integer), "Choose a piece", where: "piece_id")
    @piece ||= Access.named(Piece.includes(:faces, :job, schedule: :head), body["piece_id"])
  end

  # @param key [String, nil] of a pass
  # @return [Piece, nil]
  def piece_of_pass(key) = Access.use(Piece.find_by(id: Piece.id_of(key.to_s.split("/").first)))
end
