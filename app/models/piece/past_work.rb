# Work on a piece that was done before it was planned here: logged in one go, all of it or none.
class Piece::PastWork
  # As many passes as one touch may log.
  MOST = 200

  # @param piece [Piece]
  # @param body [Hash] "client_id", "person", "passes": in their order, each "pass", "started", "done"
  # @raise [Rhexon::InvalidInput] with what it is about
  def initialize(piece, body)
    @piece = piece
    @client_id, @person = body.values_at("client_id", "person")
    @passes = (body["passes"] || []).map { |pass| read(pass) }
    Rhexon.refuse_unless(@passes.size.between?(1, MOST), "Choose the steps that are done", where: "passes",
                                                                                 accepted: "1 to #{MOST} passes")
  end

  # @return [Piece]
  def record!
    Entry.transaction { @passes.each { |pass, started, done| log!(pass, started, done) } }
    @piece
  end

  private

  def read(pass)
    known = pass.is_a?(Hash) && pass["pass"].is_a?(String) && pass["pass"].start_with?("#{@piece.core_id}/")
    Rhexon.refuse_unless(known, "Log only work on #{@piece.name}", where: "passes")
    started, done = %w[started done].map { |field| minute(pass[field]) }
    Rhexon.refuse_unless(started < done, "The end is before the start", where: "passes/#{pass["pass"]}")
    [ pass["pass"], started, done ]
  end

  def minute(text) = Rhexon::Zone.minute(text, where: "passes")

  def log!(pass, started, done)
    log_entry!(pass, "started", started, "person" => @person)
    log_entry!(pass, "done", done, look?(pass) ? { "answer" => "yes" } : {})
  end

  def log_entry!(pass, kind, minute, more)
    Bench::Work.record!({ "client_id" => "#{@client_id}/#{pass}/#{kind}", "kind" => kind, "pass" => pass, **more },
                        happened_at: Time.zone.at(minute * 60))
  end

  def look?(pass)
    id = pass.split("/")[1]
    @piece.schedule.steps.any? { |step| step["id"] == id && step["kind"] == "look" }
  end
end
