# A file of JSON that is taken in.
module TakesJsonFile
  MOST_BYTES = 5.megabytes

  private

  # What stands here for the products of a file, asked for before it is taken in ("look"), and as a hand chose.
  # @return [Boolean] whether that was all that was asked
  def told_matches?(json, schema)
    return false unless body["look"]

    Rhexon::Schema.check!(schema, json)
    render json: { matches: Product::Named.matches(json["products"]) }
    true
  end

  # @return [Hash{String=>String, nil}]
  # @raise [Rhexon::InvalidInput]
  def chosen_products
    chosen = JSON.parse(body["matches"].presence || "{}")
    fits = chosen.is_a?(Hash) && chosen.values.all? { |code| code.nil? || code.is_a?(String) }
    Rhexon.refuse_unless(fits, "That says of no product what stands for it", where: "matches",
                         accepted: '{"code there": "code here", "another": null}')
    chosen
  rescue JSON::ParserError
    raise Rhexon::InvalidInput.new("That is no JSON", where: "matches", accepted: '{"code there": "code here"}')
  end

  # @param what [String] that it should hold
  # @return [Array(Object, String)] parsed, and the digest of the file
  # @raise [Rhexon::InvalidInput]
  def json_file(what)
    file = body["file"] || raise(Rhexon::InvalidInput.new("No file came", where: "file", accepted: what))
    bytes = file.read(MOST_BYTES + 1) || +""
    Rhexon.refuse_unless(bytes.bytesize <= MOST_BYTES, "The file is too large", where: "file",
                         accepted: "up to #{MOST_BYTES / 1.megabyte} MB")
    AuditLine.note!("file_taken", file: file.original_filename.to_s.first(80)) unless body["look"]
    [ JSON.parse(bytes.force_encoding("UTF-8").scrub), Digest::SHA256.hexdigest(bytes).first(32) ]
  rescue JSON::ParserError
    raise Rhexon::InvalidInput.new("That file is no JSON", where: "file", accepted: what)
  end
end
