# A job: for whom, where, by when, and whether it is in hand.
class JobsController < ApplicationController
  keeps_sound :update
  takes :update, client: :name, place: :words, air_there: :words, due_on: :name, priority: :name, closed: :flag

  def update
    job = Job.find(params[:id])
    job.assign_attributes(body)
    raise Rhexon::InvalidInput.new(job.errors.first.message, where: job.errors.first.attribute.to_s) unless job.save

    render json: {}
  end
end
