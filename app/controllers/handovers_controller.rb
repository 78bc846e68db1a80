# What is handed over with a piece, or with all pieces of a job.
class HandoversController < ApplicationController
  include ShowsHandover

  def show
    show_handover(state, url_for(only_path: false, format: nil))
  end

  private

  def state
    HandoverState.new(of, names: query(:names) == "yes", links: Current.person.student? ? GuestLink.none : links)
  end

  def of = @of ||= Access.named(*(params[:job_id] ? [ Job, params[:job_id] ] : [ Piece, params[:piece_id] ]))
  def links = GuestLink.where(of.model_name.singular => of, kind: "handover").order(id: :desc)
  def page_name = "Handover"
end
