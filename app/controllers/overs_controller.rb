# What goes over what.
class OversController < ApplicationController
  takes :create, lower: :name, upper: :name, state: :name, sanded: :flag, residue: :name

  def show
    page "Over", OverPageSerializer, { **OverState.choices, lower: query(:lower), upper: query(:upper) }
  end

  def create = render(json: JSON.generate(OverState.new(body).to_h))
end
