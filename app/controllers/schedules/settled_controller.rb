# The schedule as the plan of the whole shop has it: the second answer to an edit, whose first kept the other pieces
# where they stood.
class Schedules::SettledController < ApplicationController
  include OfPiece

  takes_long :show

  def show = render(json: JSON.generate(state.to_h(face)))
end
