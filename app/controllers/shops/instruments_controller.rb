# Instruments of the shop: begun with a token that is told once, renewed, taken away; a stand-in's faults.
class Shops::InstrumentsController < ApplicationController
  include OfShop

  takes :create, name: :name, room: :whole, kind: :name
  takes :update, stand_in: :name, renew: :flag
  keeps_sound :destroy

  def create
    kind = body["kind"] || "hygrometer"
    room = Room.find(body["room"].to_i) if Instrument::OF_ROOMS.include?(kind)
    _, token = Instrument.begin!(name: body["name"], kind: kind, room: room)
    tell_with(token)
  end

  # Another token, or the way in which a stand-in fails.
  def update
    return fail_as(body["stand_in"]) unless body["renew"]

    token = SecureRandom.urlsafe_base64(24)
    instrument.update!(token_digest: Instrument.digest(token))
    tell_with(token)
  end

  def destroy
    instrument.destroy!
    answer
  end

  private

  def instrument = @instrument ||= Instrument.find(params[:id])
  def tell_with(token) = render(json: ShopState.new.to_h.merge(token: token))

  def fail_as(fault)
    Rhexon.refuse_unless(instrument.stand_in, "#{instrument.name} is no stand-in", where: "stand_in")
    Rhexon.refuse_unless(Devices::SimulatedHygrometer::FAULTS.include?(fault), "It cannot fail so: #{fault.inspect}",
                         where: "stand_in", accepted: Devices::SimulatedHygrometer::FAULTS.join(", "))
    instrument.update!(stand_in: fault)
    Instrument::Watch.once if Instrument::OF_ROOMS.include?(instrument.kind)
    answer
  end
end
