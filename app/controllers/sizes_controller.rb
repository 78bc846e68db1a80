# What a size comes to, while it is typed.
class SizesController < ApplicationController
  def show = render json: { area_m2: Rhexon::Areas::Dimensions.m2(query(:size).to_s) }
end
