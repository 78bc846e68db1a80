# Where faults come back.
class Records::RecurrencesController < ApplicationController
  takes_long :show

  def show = render(inertia: "Recurs", props: RecursState.new(query(:fault)).to_h)
end
