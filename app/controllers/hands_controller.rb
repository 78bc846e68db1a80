# Other hands take a device over, by their code.
class HandsController < ApplicationController
  takes :create, name: :name, code: :name

  def create
    to = body["name"].presence && Person.find_by!(name: body["name"])
    Current.session.hand_over!(to, body["code"], trusting: demo?)
    render json: { hands: to&.name, me: me }
  end
end
