# Photos: taken in, shown, taken away.
class PhotosController < ApplicationController
  include SendsPicture
  include NamesPiece

  at_most 90, within: 1.minute, only: :create
  takes :create, file: :any, client_id: :id, words: :words, light: :name, cell_id: :typed, pass: :words,
                 piece_id: :typed

  def create
    photo = Photo.transaction do
      Photo.take!(body["file"], client_id: body["client_id"], words: body["words"], light: body["light"], **subject)
    end
    render json: { photo: PhotoSerializer.new(photo).to_h }
  end

  def show = picture(photo.image)

  def destroy
    [ photo.image, photo.thumb ].each(&:purge)
    photo.destroy!
    render json: {}
  end

  private

  def worked_on
    return photo.piece || photo.entry&.piece if action_name == "destroy"
    return Access.use(of_cell) && nil if body["cell_id"].present?

    Access.begin_for(body["pass"].present? ? piece_of_pass(body["pass"]) : Piece.find_by(id: body["piece_id"].to_s),
                     "A photo of yours belongs to one of your pieces or boards.")
  end

  def of_cell = @of_cell ||= Cell.find(body["cell_id"])
  def photo = @photo ||= Access.named(Photo, params[:id])

  def subject
    return { cell: of_cell } if body["cell_id"].present?
    return { entry: noted(body["pass"]) } if body["pass"].present?

    body["piece_id"].present? ? { piece: worked_on || raise(ActiveRecord::RecordNotFound) } : {}
  end

  # A photo taken at the bench is of what is in hand: a note in the log.
  def noted(pass)
    piece = Piece.from_core(pass.split("/").first)
    placement = ShopFloor.new.plan.of_piece(piece.core_id).find { |candidate| candidate.pass.key == pass } or
      raise Rhexon::InvalidInput.new(
        "The schedule has no such work: #{pass}", where: "pass", accepted: "work of the schedule as it is now"
      )
    words = Rhexon::Schedule::Words.step(placement.pass.step, placement.pass.product&.name)
    Entry.record!(client_id: "note-#{body["client_id"]}", kind: "note", happened_at: Time.current, piece: piece,
                  revision: piece.schedule.head, pass_key: pass, body: { "words" => body["words"].presence || words })
  end
end
