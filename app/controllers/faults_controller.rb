# Faults that can be found on a coat, and the ways to mend one.
class FaultsController < ApplicationController
  def index
    render json: { faults: Rhexon::Faults::Fault.all.map { |fault| FaultSerializer.new(fault).to_h } }
  end

  def show
    render json: {
      ways: Entry::LoggedFault.new(query(:pass), params[:id]).ways.map { |way| MendingWaySerializer.new(way).to_h }
    }
  end
end
