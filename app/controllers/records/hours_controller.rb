# Hours and money of jobs, as they were reckoned and as they came.
class Records::HoursController < ApplicationController
  takes_long :show

  def show = render(inertia: "Money", props: MoneyState.new.to_h)
end
