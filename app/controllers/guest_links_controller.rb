# Links for people outside: made, and ended.
class GuestLinksController < ApplicationController
  takes :create, kind: :name, piece_id: :whole, job_id: :whole, cell_id: :whole, names: :flag, ends_on: :name,
                 for_name: :name

  at_most 60, within: 1.hour, only: :create

  # The link is told once.
  def create
    link, token = GuestLink.make!(body["kind"], of, names: body["names"] || false, ends_on: ends_on,
                                                   for_name: body["for_name"].presence)
    AuditLine.note!("link_made", link: link.id, shows: link.kind)
    url = guest_url(token: token)
    render json: { link: GuestLinkSerializer.new(link).to_h, url: url, code: Printed::Code.new(url).svg,
                   loopback: Shop::Address.loopback?(url) }
  end

  def destroy
    link = GuestLink.find(params[:id])
    AuditLine.note!("link_ended", link: link.id) if link.live? && link.end!
    render json: { link: GuestLinkSerializer.new(link).to_h }
  end

  private

  def of
    return Cell.find(body["cell_id"]) if body["cell_id"]
    return Job.find(body["job_id"]) if body["job_id"]

    Piece.find(body["piece_id"] || raise(Rhexon::InvalidInput.new("Say of what", where: "piece_id")))
  end

  def ends_on
    body["ends_on"].presence && Date.iso8601(body["ends_on"])
  rescue ArgumentError
    raise Rhexon::InvalidInput.new("#{body["ends_on"].inspect} is no day", where: "ends_on", accepted: "2026-12-18")
  end
end
