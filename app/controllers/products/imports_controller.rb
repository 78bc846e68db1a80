# Products from a file, with what became of every row.
class Products::ImportsController < ApplicationController
  keeps_sound :create
  takes_files :create
  takes :create, file: :file

  def create
    file = body["file"]
    raise Rhexon::InvalidInput.new("No file came", where: "file", accepted: "CSV or JSON with products") unless file

    AuditLine.note!("file_taken", file: file.original_filename.to_s.first(80))
    render json: Product::Exchange.read(file.read).to_h
  end
end
