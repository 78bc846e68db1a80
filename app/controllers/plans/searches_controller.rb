# The long search for a better plan: begun, asked how it stands, stopped or what it found put away.
class Plans::SearchesController < ApplicationController
  at_most 30, within: 1.minute, only: :create

  def create
    render json: { search: LongSearchSerializer.new(Plan::LongSearch.for(ShopFloor.new)).to_h }
  end

  def destroy
    Plan::LongSearch.put_away
    head :no_content
  end
end
