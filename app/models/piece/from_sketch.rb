# A floor that was sketched as a piece of a job, with a first schedule.
class Piece::FromSketch
  FACE = "floor".freeze

  # @param area [Sums::LargeArea]
  # @param body [Hash] "name", "wood", "job_id" or "client"
  def initialize(area, body)
    @area = area
    @body = body
  end

  # @return [Piece] saved
  # @raise [Rhexon::InvalidInput, ActiveRecord::RecordInvalid]
  def create!
    @area.answer
    piece = Piece.new(name: @body["name"], wood: @body["wood"], count: 1, use: "floor", arris: "sharp", light: "D65",
                      job: job)
    piece.faces.build(name: FACE, kind: "face", grain: grain, area_m2: 1, position: 0)
    piece.sketch = @area.sketch
    piece.job.save! && piece.save!
    piece.schedule.edit!({ "op" => "all", "operations" => operations }, base: 1, reason: "From the sketch")
    piece
  end

  private

  def job = @body["job_id"].present? ? Job.in_hand.find(@body["job_id"]) : Job.new(client: @body["client"])

  def grain
    species = Rhexon::Colour::Wood.named(@body["wood"])
    species ? Rhexon::Reference.woods.woods.dig(species, "grain") : "open"
  end

  def operations
    ids = [ nil, *steps.pluck("id") ]
    placed = { "op" => "place", "set" => { "support" => "fixed", "room" => @area.room.name } }
    [ placed, *steps.zip(ids).map { |step, after| { "op" => "add_step", "after" => after, "step" => step } } ]
  end

  def steps
    Rhexon::Proposals::FloorSchedule.steps(product: @area.product, method: @area.method, wet_um: @area.wet_um,
                                           coats: @area.coats)
  end
end
