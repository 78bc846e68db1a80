# What a recipe would be for a piece, before it is.
class Templates::PreviewsController < ApplicationController
  include AppliesTemplate

  takes_long :create
  takes :create, **AppliesTemplate::TAKES

  def create = render(json: BookAppliedSerializer.new(applied).to_h)
end
