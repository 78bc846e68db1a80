# A photo, small.
class Photos::ThumbsController < ApplicationController
  include SendsPicture

  def show = picture(Access.named(Photo, params[:photo_id]).thumb)
end
