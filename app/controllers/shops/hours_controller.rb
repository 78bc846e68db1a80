# The hours of the shop, or of one person.
class Shops::HoursController < ApplicationController
  include OfShop

  keeps_sound :create
  takes :create, person: :whole, week: :table, days: :list

  def create
    person = body["person"].present? ? Person.find(body["person"]) : nil
    unless body["week"].is_a?(Hash) && body["days"].is_a?(Array) && body["days"].all?(Hash)
      raise Rhexon::InvalidInput.new("Hours are missing", where: "week")
    end

    Shop::Hours.replace!(person, body["week"], body["days"])
    answer
  end
end
