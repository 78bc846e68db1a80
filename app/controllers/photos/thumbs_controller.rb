# A photo, small.
class Photos::ThumbsController < ApplicationController
  include SendsPicture

  def show = picture(Photo.find(params[:photo_id]).thumb)
end
