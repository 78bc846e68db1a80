# A trial of the two things in a proposed way that nobody can be sure of before they were seen.
class Trial::OfProposal
  SIZE = { "width_mm" => 480, "height_mm" => 305 }.freeze
  # A board is of new wood.
  OLD_FINISH = %w[strip clean].freeze
  private_constant :SIZE, :OLD_FINISH

  # @param piece [Piece]
  # @param proposal [Rhexon::Systems::Proposal]
  def initialize(piece, proposal)
    @piece = piece
    @proposal = proposal
  end

  # @param target [Array<Numeric>, nil] the colour that is wished, where it is another than the piece's
  # @return [Trial] what it takes and the shelf has not is on its list
  # @raise [Rhexon::InvalidInput]
  def save!(today:, target: nil)
    layers = @piece.layers(Schedule::Chosen.new(@piece.schedule, @proposal).document["steps"])
      .reject { |step| OLD_FINISH.include?(step["kind"]) }
    given = { "name" => name, "piece_id" => @piece.id, "wood" => @piece.wood, "grain" => @piece.shown_face.grain,
              "design" => "full", "factors" => factors(layers), "step_strip" => true, **SIZE }
    TrialDesign.new(given, today: today, base: layers).save!.tap { |trial| trial.update!(target_lab: target) if target }
  end

  private

  # The first that is free.
  def name
    stem = "#{@proposal.name} for #{@piece.name}".truncate(180)
    [ stem, *(2..).lazy.map { |number| "#{stem}, #{number}" }.first(200) ].find { |one| !Trial.exists?(name: one) }
  end

  # On the face that is shown.
  def factors(layers)
    ids = layers.map { |step| step["id"] }
    found = Rhexon::Systems::Uncertain.new(@proposal.plan, @piece.core_id).factors
    found = found.select { |factor| ids.include?(factor["step"]) }
    Rhexon.refuse_unless(found.any?, "There is nothing in this way that a board would tell", where: "system",
                         accepted: "a way with coats, colour or sanding")
    found
  end
end
