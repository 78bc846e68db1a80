# A pass with a log entry is frozen: an edit may not change or remove it, nor put a step before it.
class Schedule::FrozenPasses
  def initialize(piece, document)
    @document = document
    @usual = Rhexon::Planning::Turns.usual(
      Rhexon::Planning::Piece.new(faces: piece.faces.to_h { |face| [ face.name, face.to_core ] }, use: piece.use)
    )
    @logged = Entry.standing_passes(piece)
      .map { |key| key.sub(%r{/scuff\d*\z}, "").split("/") }
      .map { |_, step, coat| [ step, coat.to_i ] }.uniq
  end

  # @return [Array<String>] ids of the steps that stand in the log
  def begun = @logged.map(&:first).uniq

  # @param after [Hash] schedule document
  # @raise [Rhexon::InvalidInput]
  def check!(after)
    return if @logged.empty?

    @logged.each { |step_id, coat| unchanged!(step_id, coat, after) }
    nothing_new_before!(after)
    same_support!(after)
  end

  private

  # The log goes by the faces that were laid on in one pass, and those by how the piece lies.
  def same_support!(after)
    return if support(after) == support(@document)

    laid = @logged.filter_map { |step_id, _| step(@document, step_id) }.find do |step|
      Rhexon::Work::Steps.lays?(step) && step["support"].nil?
    end
    return unless laid

    raise Rhexon::InvalidInput.new(
      "#{Rhexon::Schedule::Words.step(laid, product_name(laid))} is already in the log as the piece lay then, so " \
      "that stays for the whole schedule. Set it in the steps to come",
      where: "support"
    )
  end

  def support(document) = (document["support"] if document.is_a?(Hash)) || @usual

  def unchanged!(step_id, coat, after)
    before = step(@document, step_id) or return
    now = step(after, step_id)
    return if now && frozen(now) == frozen(before) && coat <= Rhexon::Schedule::Loops.most_coats(after, now)

    raise Rhexon::InvalidInput.new(
      "#{Rhexon::Schedule::Words.step(before, product_name(before))} is already in the log, so this step stays as " \
      "it was. Split its coats to change the ones to come, or correct the log instead",
      where: "steps/#{step_id}"
    )
  end

  # How many rounds are planned may change while they are gone.
  def frozen(step)
    step.except("coats", "pins", "name", "again").merge("round" => step.dig("again", "steps"))
  end

  def nothing_new_before!(after)
    last = ids(after).rindex { |id| @logged.any? { |step_id, _| step_id == id } } or return
    last_before = ids(@document).rindex { |id| @logged.any? { |step_id, _| step_id == id } }
    newcomer = (ids(after).first(last) - ids(@document).first(last_before)).first
    if newcomer
      raise Rhexon::InvalidInput.new("A step cannot go before work that is already in the log",
                                     where: "steps/#{newcomer}")
    end
  end

  def ids(document) = steps(document).map { |step| step["id"] }
  def step(document, id) = steps(document).find { |step| step["id"] == id }

  # Older documents that cannot be read have no steps to hold to.
  def steps(document) = document.is_a?(Hash) && document["steps"].is_a?(Array) ? document["steps"].grep(Hash) : []
  def product_name(step) = step["product"] && Product.find_by(code: step["product"])&.name
end
