# Two to four schedules for one piece, side by side.
class ComparisonsController < ApplicationController
  takes_long :show

  def show
    piece = query(:piece) ? Piece.find(query(:piece)) : Piece.where(job: Job.in_hand).order(:id).first
    return redirect_to("/pieces") unless piece

    comparison = Comparison.new(piece, wanted.first(3))
    return render json: comparison.to_h if request.format.json?

    render inertia: "Compare", props: comparison.to_h
  end

  private

  # @return [Array<String>]
  def wanted = Array.wrap(params[:with]).select { |key| Given.text?(key, Given::NAME) }
end
