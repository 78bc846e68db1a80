# What is proposed for a piece: its wish as it stands on its page, and the systems that come to it in today's shop.
class ProposalsState
  # @param piece [Piece]
  # @param wish [Hash, nil] of rhexon-wish/1; nil: what is known of the piece
  def initialize(piece, wish = nil)
    @piece = piece
    @wish = wish || first_wish
  end

  # @return [Hash] of rhexon-wish/1: what the piece's page says, and the gear of the shop
  def first_wish
    { "lab" => @piece.target_lab, "sheen" => [ @piece.sheen_low, @piece.sheen_high ].compact.presence,
      "pores" => @piece.pores, "opaque" => (true if @piece.wood.match?(/\bmdf\b/i)),
      "gear" => Rhexon::Systems::Wish.gear_of(shop) }.compact
  end

  # @return [Hash] ProposalsAnswer
  # @raise [Rhexon::InvalidInput]
  def to_h = ProposalsAnswerSerializer.new(told).to_h

  # @param system [String] id of one that is proposed
  # @return [Rhexon::Systems::Proposal]
  # @raise [Rhexon::InvalidInput]
  def proposal(system)
    answer.proposals.find { |one| one.id == system } ||
      raise(Rhexon::InvalidInput.new("That is not among what is proposed now", where: "system",
                                     accepted: answer.proposals.map(&:id).join(", ")))
  end

  # @return [Hash] what the page shows around the answer
  def page
    { piece: { id: @piece.id, name: @piece.name, wood: @piece.wood, count: @piece.count, use: @piece.use,
               client: @piece.job.client, due: @piece.job.due_at && @piece.job.due_at.to_i / 60,
               steps: @piece.schedule.steps.size, begun: Entry.standing_passes(@piece).any?,
               target_hex: @piece.target_lab && Rhexon::Colour::Lab.hex(@piece.target_lab) },
      zone: Shop.current.zone, currency: Shop.current.currency, now: floor.now.to_i / 60, wish: @wish,
      weights: Rhexon::Systems::Wish::WEIGHTS, asks: Rhexon::Materials::Resistance.asks(@piece.use),
      measures: Rhexon::Reference.uses.words.to_h }
  end

  private

  attr_reader :wish

  def floor = @floor ||= ShopFloor.new

  def shop = floor.plan_of(@piece).shop

  def answer = @answer ||= Rhexon::Systems::Engine.new(shop, @piece.core_id, @wish).answer

  def told
    params = { ranking: answer.ranking, lab: wish["lab"] }
    { proposals: answer.proposals.map { |one| ProposalSerializer.new(one, params: params).to_h },
      fallen: answer.fallen.map { |one| { name: one.system.name, reason: one.reason } }, late: answer.late }
  end
end
