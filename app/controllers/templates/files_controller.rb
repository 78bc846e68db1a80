# A recipe from a file (rhexon-template/1).
class Templates::FilesController < ApplicationController
  takes_files :create
  takes :create, file: :file

  def create
    file = body["file"]
    raise Rhexon::InvalidInput.new("No file came", where: "file", accepted: "a recipe as JSON") unless file

    template = Template.take_in!(JSON.parse(file.read.to_s.dup.force_encoding("UTF-8").scrub))
    render json: BookState.new(template: template).to_h
  rescue JSON::ParserError
    raise Rhexon::InvalidInput.new("That file is no recipe", where: "file", accepted: "JSON of rhexon-template/1")
  end
end
