# What a link shows to somebody outside, as long as it has not ended: one handover, or one look to be approved.
class GuestsController < ApplicationController
  include ShowsHandover

  at_most 120, within: 1.minute, by: :address
  before_action :link
  takes :create, client_id: :id, name: :name, light: :name

  def show
    return show_handover(state, guest_url(token: params[:token])) if link.kind == "handover"

    page "Guest/Approval", GuestApprovalSerializer, { cell: link.cell, token: params[:token], for_name: link.for_name }
  end

  # The photo of the cell that is to be approved.
  def photo
    photo = link.cell&.photos&.last or return missing
    expires_in 1.hour, public: false
    send_data photo.image.download, type: "image/jpeg", disposition: "inline"
  end

  def create
    Rhexon.refuse_unless(link.kind == "approval", "There is nothing to approve here", where: "kind")
    Approval.record!(link.cell.board.piece, body, cell: link.cell, by_link: link)
    AuditLine.note!("approved", link: link.id, name: body["name"])
    render json: GuestApprovalSerializer.new({ cell: link.cell, token: params[:token], for_name: link.for_name }).to_h
  end

  private

  def worked_on = (link.cell&.board&.piece if action_name == "create")

  def link
    @link ||= GuestLink.of_token(params[:token]).tap { |found| found&.seen! } ||
      raise(ActiveRecord::RecordNotFound)
  end

  def state = HandoverState.new(link.job || link.piece, names: link.names, links: GuestLink.none, guest: params[:token])
  def page_name = "Guest/Handover"
  def address = request.remote_ip

  # Of the shop a guest learns its name alone.
  def shared = { shop: { name: Shop.current.name, zone: Shop.current.zone, now: Time.current.to_i / 60 } }

  def missing(_error = nil)
    return super if request.format.json?

    render inertia: "Guest/Ended", props: {}, status: :not_found
  end
end
