# The last change taken back.
class Schedules::UndosController < ApplicationController
  include KeepsSchedule

  takes :create, face: :name, sequence: :whole

  def create
    kept { schedule.undo! }
  end
end
