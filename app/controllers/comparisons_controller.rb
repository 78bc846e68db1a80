# Two to four schedules for one piece, side by side.
class ComparisonsController < ApplicationController
  def show
    piece = params[:piece] ? Piece.find(params[:piece]) : Piece.where(job: Job.in_hand).order(:id).first
    return redirect_to("/pieces") unless piece

    comparison = Comparison.new(piece, Array(params[:with]).first(3).map(&:to_s))
    return render json: comparison.to_h if request.format.json?

    render inertia: "Compare", props: comparison.to_h
  end
end
