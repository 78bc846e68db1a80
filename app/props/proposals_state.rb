# What is proposed for a piece: its wish as it stands on its page, and the systems that come to it in today's shop.
class ProposalsState
  # Answers given lately: one that is chosen from or tried on a board was reckoned a moment ago.
  KEPT = 4
  @kept = Rhexon::Cache.new(KEPT, lately_used: true)

  # @yieldreturn [Rhexon::Systems::Engine::Answer]
  def self.kept(key, &reckoned) = @kept.fetch(key, &reckoned)

  # @param piece [Piece]
  # @param wish [Hash, nil] of rhexon-wish/1; nil: what is known of the piece
  def initialize(piece, wish = nil)
    @piece = piece
    @wish = wish || first_wish
  end

  # @return [Hash] of rhexon-wish/1: what the piece's page says in figures, else in words, and the gear of the shop
  def first_wish = { **written, **figures }

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

  # @raise [Rhexon::InvalidInput] for a wish that cannot be read, and a piece that cannot be planned
  def check! = engine && nil

  # What is told as it is reckoned: the first few ways as they are made, the answer, then one by one the share of runs
  # in which each is ready when it is wished, where that is said.
  # @yieldparam part [Hash] "early" (Proposal), "answer" (ProposalsAnswer) or "chances" (by proposal, 0 to 1)
  def each_part
    @answer = kept { engine.answer { |proposal| yield({ early: serialized(proposal) }) } }
    yield({ answer: to_h })
    return unless engine.due

    answer.proposals.each { |one| yield({ chances: { one.id => one.chance(engine.due).round(2) } }) }
  end

  # @return [Rhexon::Systems::LookChart]
  def look_chart = Rhexon::Systems::LookChart.new(shop, shop.pieces.find { |one| one.id == @piece.core_id })

  # @return [Hash] what the page shows around the answer
  def page
    { piece: { id: @piece.id, name: @piece.name, wood: @piece.wood, count: @piece.count, use: @piece.use,
               client: @piece.job.client, due: @piece.job.due_at && @piece.job.due_at.to_i / 60,
               steps: @piece.schedule.steps.size, begun: Entry.standing_passes(@piece).any?,
               target_hex: @piece.target_lab && Rhexon::Colour::Lab.hex(@piece.target_lab) },
      zone: Shop.current.zone, currency: Shop.current.currency, now: floor.now.to_i / 60, wish: @wish,
      weights: Rhexon::Systems::Wish::WEIGHTS, asks: Rhexon::Materials::Resistance.asks(@piece.use),
      measures: Rhexon::Reference.uses.words.to_h, assumed: assumed }
  end

  private

  attr_reader :wish

  def written = Rhexon::Systems::LookWords.read(@piece.look)

  def figures
    { "lab" => @piece.target_lab, "sheen" => [ @piece.sheen_low, @piece.sheen_high ].compact.presence,
      "pores" => @piece.pores, "opaque" => (true if @piece.wood.match?(/\bmdf\b/i)),
      "gear" => Rhexon::Systems::Wish.gear_of(shop) }.compact
  end

  def floor = @floor ||= ShopFloor.new

  def shop = floor.plan_of(@piece).shop

  def engine = @engine ||= Rhexon::Systems::Engine.new(shop, @piece.core_id, @wish)
  def answer = @answer ||= kept { engine.answer }
  def kept(&reckoned) = self.class.kept([ shop.digest, @piece.core_id, @wish ], &reckoned)

  # What nobody has said of the piece, and what is taken for it.
  # @return [Array<String>] sentence parts
  def assumed
    unsaid = shop.pieces.find { |one| one.id == @piece.core_id }
    [ ("its look: read from \"#{@piece.look}\"" if (written.keys - figures.keys).any?),
      ("its use: nothing is asked of it but to be looked at" if @piece.use.nil?),
      ("its date: as soon as can be" if @piece.job.due_at.nil?),
      ("its edges: #{@piece.arris.tr("_", " ").sub(/(\d)mm/, "\\1 mm")}" if @piece.arris != "sharp"),
      ("its wood before: bare and sanded" if @piece.faces.all? { |face| face.found.nil? }),
      ("its wood: a mean board of #{unsaid.species}" if unsaid.species && @piece.timber.nil?),
      ("the gear: what the shop has" if wish["gear"] == Rhexon::Systems::Wish.gear_of(shop)) ].compact
  end

  # The piece in the shop's plan; nil where nothing is planned for it yet.
  # @return [Rhexon::Compare::Alternative, nil]
  def standing
    plan = floor.plan_of(@piece)
    return if @piece.schedule.steps.empty? || plan.build.ready[@piece.core_id].nil?

    Rhexon::Compare::Alternative.new(plan, @piece.core_id, "As it stands")
  end

  def told
    { proposals: answer.proposals.map { |one| serialized(one) },
      fallen: answer.fallen.map { |one| { name: one.system.name, reason: one.reason } }, late: answer.late,
      target_hex: wish["lab"] && Rhexon::Colour::Lab.hex(wish["lab"]), remarks: answer.remarks,
      standing: standing&.then { |side| SideSerializer.alone(side) } }
  end

  def serialized(proposal)
    ProposalSerializer.new(proposal, params: { lab: wish["lab"], wish: answer.ranking.wish }).to_h
  end
end
