# The two ends of the day at the bench.
class DaysController < ApplicationController
  def show = render(inertia: "Day", props: DayState.new.to_h)
end
