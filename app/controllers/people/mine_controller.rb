# What somebody keeps up about themselves: password, code, and the devices they are signed in on.
class People::MineController < ApplicationController
  takes :update, now: :name, password: :name, code: :name
  takes :destroy, device: :whole

  at_most 10, within: 5.minutes, only: :update

  def show = page("Me", MePageSerializer, props)

  def update
    Rhexon.refuse_unless(!mine.signs_in? || mine.authenticate(body["now"].to_s), "That is not your password of today",
                         where: "now")
    Rhexon.refuse_unless(body["password"].present? || body["code"].present?, "Write a new password, or a new code",
                         where: "password")
    mine.update!({ password: body["password"], code: body["code"] }.compact_blank)
    # Whoever knew the old one is signed out.
    mine.sessions.where.not(id: Current.session.id).delete_all if body["password"].present?
    render json: MePageSerializer.new(props).to_h
  end

  # One device, or all but this one.
  def destroy
    others = mine.sessions.where.not(id: Current.session.id)
    others = others.where(id: body["device"]) if body["device"]
    others.delete_all
    render json: MePageSerializer.new(props).to_h
  end

  private

  def mine = Current.session.actor

  def props
    { name: mine.name, role: mine.role, password: mine.signs_in?, code: mine.code?,
      devices: mine.sessions.order(seen_at: :desc).map { |one|
        { id: one.id, device: one.device, since: one.created_at.to_i / 60, seen: one.seen_at.to_i / 60,
          here: one.id == Current.session.id }
      } }
  end
end
