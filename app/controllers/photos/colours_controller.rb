# The colour of a marked patch: computed, not kept.
class Photos::ColoursController < ApplicationController
  takes :create, patch: :list, grey: :list, white: :any

  def create
    lab = Access.named(Photo, params[:photo_id]).colour(body["patch"], body["grey"], white: body["white"])
    render json: { lab: lab, hex: Rhexon::Colour::Lab.hex(lab) }
  end
end
