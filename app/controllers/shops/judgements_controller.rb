# A check judged otherwise for the whole shop, with its reason.
class Shops::JudgementsController < ApplicationController
  include OfShop

  keeps_sound :create
  takes :create, check: :name, as: :name, reason: :words

  def create
    Shop.current.judge!(body["check"], body["as"], body["reason"])
    answer
  end
end
