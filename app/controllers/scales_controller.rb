# What the bench scale shows.
class ScalesController < ApplicationController
  include ReadsScale

  def show = answer
end
