# The shop itself: its rooms and their air, its people and hours.
class ShopsController < ApplicationController
  def show
    render inertia: "Shop", props: ShopState.new.to_h
  end
end
