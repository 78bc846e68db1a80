# For a jar: what it is, its dates, and a code that leads back to it.
class Batches::LabelsController < ApplicationController
  include SendsLabel

  def show
    batch = Batch.find(params[:batch_id])
    send_label(Batch::Label.new(batch, batch_url(batch)), batch.code)
  end
end
