# What would mend those findings whose remedies have to be planned first. "all": however long it takes.
class Schedules::RemediesController < ApplicationController
  include OfPiece

  takes_long :index

  def index
    findings = Rhexon::Checks::Catalogue.findings(state.plan, piece.core_id)
    passes = query(:all) ? nil : Rhexon::Checks::Proofs::PASSES
    told = findings.map { |finding| FindingSerializer.new(finding.look_behind!(passes: passes)).to_h }
    render json: { findings: told }
  end
end
