# The page that a device shows in the place of one that it does not keep, while the shop's computer is away.
class AbsencesController < ApplicationController
  skip_before_action :begin_first

  def show = render(inertia: "Away")
end
