# Two to four schedules for one piece, side by side.
class ComparisonsController < ApplicationController
  include ComparesSchedules

  takes_long :show

  def show
    return redirect_to("/pieces") unless compared
    return render json: comparison.to_h if request.format.json?

    render inertia: "Compare", props: comparison.to_h
  end
end
