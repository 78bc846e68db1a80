# Where finishers disagree: the shop's own way, unless a schedule says otherwise.
class Shops::HouseRulesController < ApplicationController
  include OfShop

  keeps_sound :create
  takes :create, rule: :name, value: :typed

  def create
    Shop.current.rule!(body["rule"], body["value"])
    answer
  end
end
