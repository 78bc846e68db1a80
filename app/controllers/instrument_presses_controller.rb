# The button of a stand-in that is held on the work.
class InstrumentPressesController < ApplicationController
  takes :create, near: :list

  def create
    instrument = Instrument.of_hand.where.not(stand_in: nil).find(params[:id])
    near = body["near"]&.grep(Numeric)
    report = Instrument::Press.new(instrument, near).press!
    if (refused = report.refused.first)
      raise Rhexon::InvalidInput.new(refused["sentence"], where: "instrument", accepted: "typed readings meanwhile")
    end

    render json: { instrument: HandInstrumentSerializer.new(instrument.reload).to_h }
  end
end
