# Photos of a piece and of what its log says.
class Pieces::PhotosController < ApplicationController
  def index
    photos = Photo.of_piece(Access.named(Piece, params[:piece_id]))
    render json: { photos: photos.map { |photo| PhotoSerializer.new(photo).to_h } }
  end
end
