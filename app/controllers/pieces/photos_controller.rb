# Photos of a piece and of what its log says.
class Pieces::PhotosController < ApplicationController
  def index
    photos = Photo.of_piece(Piece.find(params[:piece_id]))
    render json: { photos: photos.map { |photo| PhotoSerializer.new(photo).to_h } }
  end
end
