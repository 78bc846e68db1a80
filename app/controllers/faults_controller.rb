# Faults that can be found on a coat: what each likely comes from, and the ways to mend one.
class FaultsController < ApplicationController
  include NamesPiece

  def index
    render json: { faults: Rhexon::Faults::Fault.all.map { |fault| FaultSerializer.new(fault).to_h } }
  end

  # "yes" and "no" name the causes that the hand was asked about.
  def show
    piece_of_pass(query(:pass))
    logged = Entry::LoggedFault.new(query(:pass), params[:id])
    answers = { true => :yes, false => :no }.flat_map { |said, name| asked(name).map { |cause| [ cause, said ] } }.to_h
    causes = logged.causes(answers).map(&:to_h)
    return render json: { causes: causes } if params.key?(:causes)

    render json: { causes: causes, ways: logged.ways.map { |way| MendingWaySerializer.new(way).to_h } }
  end

  private

  def asked(name) = query(name).to_s.split(";")
end
