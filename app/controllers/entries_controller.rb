# The append-only log. An entry carries an id made by the client, so that a repeat is not a second entry.
class EntriesController < ApplicationController
  def create
    BenchWork.record!(body, happened_at: instant(body["happened_at"]))
    render json: BenchState.new.to_h
  end
end
