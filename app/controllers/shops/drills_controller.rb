# A restore that is tried beside the shop: it takes a minute, and the page asks how it went.
class Shops::DrillsController < ApplicationController
  takes :create, client_id: :id

  def show = render(json: BackupsState.new.to_h)

  def create
    Rhexon.refuse_unless(Shop::Backup.last, "There is no backup yet: make one first", where: "backup")
    Shop::Backup::Drill.begin!
    show
  end
end
