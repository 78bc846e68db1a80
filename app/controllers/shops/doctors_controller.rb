# The shop looked over: what is well, and what is not.
class Shops::DoctorsController < ApplicationController
  takes_long :show

  def show
    render json: { findings: Shop::Doctor.new.findings.map { |finding| FindingOfDoctorSerializer.new(finding).to_h } }
  end
end
