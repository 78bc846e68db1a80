# The whole shop as one file in open formats.
class Shops::ArchivesController < ApplicationController
  takes_long :show

  def show
    Dir.mktmpdir("rhexon") do |folder|
      file = Pathname(folder).join("shop.zip")
      Shop::Archive.write!(file)
      AuditLine.note!("archive_sent")
      send_data file.binread, filename: "rhexon-shop-#{Shop.current.clock.date(Time.current.to_i / 60)}.zip",
                              type: "application/zip"
    end
  end
end
