# Backups of the shop: how old, what is in them; made by hand and put back.
class Shops::BackupsController < ApplicationController
  takes_long :create, :restore
  takes :create, note: :name
  takes :restore, client_id: :id

  def index = render(inertia: "Backups", props: BackupsState.new.to_h)

  def create
    made = Shop::Backup.keep!(reason: body["note"].presence || "by hand")
    AuditLine.note!("backup_made", backup: made.name)
    render json: BackupsState.new.to_h
  end

  # The server begins anew with it: nothing that was read before holds.
  def restore
    kept = Shop::Backup::Restoring.new(Shop::Backup.find(params[:id])).restore!
    AuditLine.note!("backup_restored", backup: params[:id], before: kept[:before])
    Process.kill("USR2", Process.pid) if Rails.env.production?
    render json: { **BackupsState.new.to_h, kept: kept[:before] }
  end
end
