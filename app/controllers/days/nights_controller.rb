# What it is worth to keep rooms warm over night.
class Days::NightsController < ApplicationController
  takes_long :show

  def show = render(json: { nights: DayState.new.nights })
end
