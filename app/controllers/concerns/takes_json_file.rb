# A file of JSON that is taken in.
module TakesJsonFile
  MOST_BYTES = 5.megabytes

  private

  # @param what [String] that it should hold
  # @return [Array(Object, String)] parsed, and the digest of the file
  # @raise [Rhexon::InvalidInput]
  def json_file(what)
    file = body["file"] || raise(Rhexon::InvalidInput.new("No file came", where: "file", accepted: what))
    bytes = file.read(MOST_BYTES + 1) || +""
    Rhexon.refuse_unless(bytes.bytesize <= MOST_BYTES, "The file is too large", where: "file",
                         accepted: "up to #{MOST_BYTES / 1.megabyte} MB")
    [ JSON.parse(bytes.force_encoding("UTF-8").scrub), Digest::SHA256.hexdigest(bytes).first(32) ]
  rescue JSON::ParserError
    raise Rhexon::InvalidInput.new("That file is no JSON", where: "file", accepted: what)
  end
end
