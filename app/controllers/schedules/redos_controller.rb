# What was taken back, done again.
class Schedules::RedosController < ApplicationController
  include KeepsSchedule

  takes :create, face: :name, sequence: :whole

  def create
    kept { schedule.redo! }
  end
end
