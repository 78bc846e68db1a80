# What of a piece's schedule a trial can vary.
class Trials::BasesController < ApplicationController
  def show
    piece = Access.named(Piece.includes(schedule: :head), params[:piece_id])
    render json: JSON.generate({ steps: Trial::Base.new(piece).steps })
  end
end
