# A board that tries what of a proposed way nobody can be sure of.
class Pieces::Proposals::TrialsController < ApplicationController
  include NamesPiece

  keeps_sound :create, of: :piece
  takes :create, wish: :table, system: :name

  def create
    wish = body["wish"] || {}
    proposal = ProposalsState.new(piece, wish).proposal(body["system"])
    today = Shop.current.clock.date(Time.current.to_i / 60)
    trial = Trial::OfProposal.new(piece, proposal).save!(today: today, target: wish["lab"])
    render json: { location: board_path(trial.boards.first) }
  end
end
