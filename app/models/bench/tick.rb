# One of several alike pieces that is finished: the first and the last of them give the window of the film.
class Bench::Tick
  # @param body [Hash] "pass", "nth" from 1
  def initialize(body)
    @body = body
  end

  # @return [Hash] body of the entry
  # @raise [Rhexon::InvalidInput]
  def details
    nth = @body["nth"]
    Rhexon.refuse_unless(nth.is_a?(Integer) && nth.between?(1, count), "There is no piece #{nth.inspect} of these",
                         where: "nth", accepted: "1 to #{count}")
    { "nth" => nth }
  end

  private

  def count
    placed = ShopFloor.new.plan.placements.find { |one| one.pass.key == @body["pass"] }
    placed ? placed.pass.count : Piece.from_core(@body["pass"].split("/").first).count
  end
end
