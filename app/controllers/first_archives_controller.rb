# A shop that was written into a file begins here.
class FirstArchivesController < ApplicationController
  skip_before_action :begin_first
  takes_files :create
  takes_long :create
  takes :create, file: :file

  def create
    file = body["file"] or raise Rhexon::InvalidInput.new("Choose a file", where: "archive",
accepted: "a shop's archive")
    about = Shop::Archive.read!(Pathname(file.path))
    AuditLine.note!("archive_taken", rows: about["tables"].values.sum)
    render json: { rows: about["tables"].values.sum, photos: about["photos"] }
  end
end
