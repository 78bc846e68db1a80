# What somebody keeps up about themselves: password, code, and the devices they are signed in on.
class People::MineController < ApplicationController
  takes :update, now: :name, password: :name, code: :name
  takes :destroy, device: :whole

  at_most 10, within: 5.minutes, only: :update

  def show = page("Me", MePageSerializer, props)

  def update
    Rhexon.refuse_unless(mine.signs_in?, "The owner of the shop gives #{mine.name} the first password or code",
                         where: "now")
    right = Tries.new(mine, "confirm_refused").once { mine.authenticate(body["now"].to_s) }
    Rhexon.refuse_unless(right, "That is not your password of today", where: "now")
    Rhexon.refuse_unless(body["password"].present? || body["code"].present?, "Write a new password, or a new code",
                         where: "password")
    mine.update!({ password: body["password"], code: body["code"] }.compact_blank)
    # Whoever knew the old one is out.
    mine.end_everywhere!(but: Current.session)
    body.slice("password", "code").compact_blank.each_key { |kind| AuditLine.note!(kind, person: mine) }
    render json: MePageSerializer.new(props).to_h
  end

  # One device, or all but this one.
  def destroy
    AuditLine.note!("signed_out_elsewhere", person: mine)
    body["device"] ? devices.where(id: body["device"]).delete_all : mine.end_everywhere!(but: Current.session)
    render json: MePageSerializer.new(props).to_h
  end

  private

  def mine = Current.session.actor

  # Signed in on by them, or taken over.
  def devices = mine.sessions.or(Session.where(hands: mine)).where.not(id: Current.session.id)

  def props
    { name: mine.name, role: mine.role, password: mine.signs_in?, code: mine.code?, second_step: mine.second_step?,
      devices: devices.or(Session.where(id: Current.session.id)).includes(:person).order(seen_at: :desc).map { |one|
        { id: one.id, device: one.device, since: one.created_at.to_i / 60, seen: one.seen_at.to_i / 60,
          here: one.id == Current.session.id, of: (one.person.name if one.person_id != mine.id) }
      } }
  end
end
