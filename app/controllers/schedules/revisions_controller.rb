# What was changed in a schedule, and why; those that were left behind stay readable.
class Schedules::RevisionsController < ApplicationController
  include OfPiece

  MOST = 100

  def index
    standing = schedule.lineage.map(&:number)
    revisions = schedule.revisions.reorder(number: :desc).limit(MOST)
    render json: {
      revisions: revisions.map { |revision|
        RevisionSerializer.new(revision).to_h.merge(standing: standing.include?(revision.number))
      },
      head: schedule.head.number
    }
  end
end
