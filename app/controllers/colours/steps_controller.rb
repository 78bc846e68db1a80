# A recipe of the colour desk put into a schedule.
class Colours::StepsController < ApplicationController
  include NamesPiece

  keeps_sound :create, of: :piece
  takes :create, **ColourWork::TAKES

  def show
    ColourWork.check_kind!(kind = query(:kind))
    render json: ColourWorkSerializer.new(ColourWork.choices(piece, kind)).to_h
  end

  def create
    work = ColourWork.new(piece, body)
    id = work.id
    names = Shelf.products.transform_values(&:name)
    piece.schedule.edit!(work.operation, base: piece.schedule.head.number) do
      "From the colour desk. #{Rhexon::Schedule::Words.edit(work.operation, piece.schedule.document, names)}"
    end
    render json: { location: piece_schedule_path(piece, step: id) }
  end

  private

  def piece = action_name == "show" ? super : piece_of_body
end
