# A sketch that becomes a piece, or is kept with one.
class Areas::PiecesController < ApplicationController
  include NamesPiece

  keeps_sound :create, :update
  takes :create, fields: :table, name: :name, wood: :name, job_id: :typed, client: :name
  takes :update, fields: :table, piece_id: :whole

  def create
    piece = Piece::FromSketch.new(area, body).create!
    render json: { location: piece_schedule_path(piece) }
  end

  # Only the sketch and the area that comes of it: what is laid on stays with the schedule.
  def update
    piece.update!(sketch: area.sketch)
    piece.faces.each(&:save!)
    render json: { location: piece_schedule_path(piece) }
  end

  private

  def piece = piece_of_body
  def worked_on = (piece if action_name == "update")
  def area = @area ||= Sums::LargeArea.new(body["fields"] || {})
end
