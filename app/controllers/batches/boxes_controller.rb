# Cans of one product poured together.
class Batches::BoxesController < ApplicationController
  keeps_sound :create
  takes :create, batches: :list, client_id: :id

  def create
    boxed = Batch.box!(Batch.standing.where(id: body["batches"]).to_a, client_id: client_id)
    render json: { location: batch_path(boxed) }
  end
end
