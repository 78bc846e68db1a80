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

  # The path says of which, whatever a query adds.
  def of
    named = request.path_parameters
    @of ||= Access.named(*(named.key?(:job_id) ? [ Job, named[:job_id] ] : [ Piece, named[:piece_id] ]))
  end

  def links = GuestLink.where(of.model_name.singular => of, kind: "handover").order(id: :desc)
  def page_name = "Handover"
end
