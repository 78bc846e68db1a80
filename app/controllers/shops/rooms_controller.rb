# A room and its air: a new one, or one as it is now.
class Shops::RoomsController < ApplicationController
  include OfShop

  keeps_sound :create
  takes :create, id: :whole, name: :name, air: :name, uses: :names, rack_places: :whole, t_c: :typed, rh: :typed,
                 daily: :list

  def create
    room = body["id"].present? ? Room.find(body["id"]) : Room.new
    room.assign_attributes(
      **body.slice("name", "air", "uses", "rack_places"), t_c: body["t_c"], rh: body["rh"],
                                                          daily: body["daily"].presence
    )
    refuse_renamed!(room)
    keep!(room)
  end
end
