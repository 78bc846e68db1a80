# Records the pours of a mix, finds the way on after an over-pour, and puts it on the shelf when it is done.
class Mix::Desk
  def initialize(mix)
    @mix = mix
  end

  # @param body [Hash] client_id, name, and g or what was typed
  def pour!(body, happened_at:)
    refuse_closed! unless Entry.exists?(client_id: body["client_id"])
    index = @mix.sheet.recipe.index(body["name"]) or
      raise Rhexon::InvalidInput.new(
        "The mix has no component called #{body["name"]}", where: "name",
        accepted: @mix.sheet.recipe.components.map(&:name).join(", ")
      )
    component = @mix.sheet.recipe.components[index]
    grams = body["g"] || typed_g(body["typed"], component)
    Rhexon.refuse_unless(grams.is_a?(Numeric) && grams.positive? && grams <= 1_000_000,
                         "#{grams.inspect} g cannot have been poured", where: "g", accepted: "more than 0 g")
    Entry.record!(client_id: body["client_id"], kind: "poured", happened_at: happened_at, mix: @mix,
                  body: { "name" => component.name, "g" => grams.round(2) })
    @mix.reload
  end

  # @param entry [Integer, nil] of the log
  # @param by [String, nil] the touch that made it, where the page did not know its entry yet
  def take_back!(client_id:, happened_at:, entry: nil, by: nil)
    refuse_closed! unless Entry.exists?(client_id: client_id)
    wrong = @mix.entries.find_by({ kind: "poured", **(by ? { client_id: by } : { id: entry }) }) ||
      raise(Rhexon::InvalidInput.new("There is no such pour to take back", where: "corrects"))
    Entry.record!(client_id: client_id, kind: "correction", happened_at: happened_at, mix: @mix, corrects: wrong,
                  body: {})
    @mix.reload
  end

  # After an over-pour: leave it, split the pot, or throw it away and begin again. Topping up needs no decision.
  # @return [Mix] the mix to go on with
  def way_on!(kind, client_id:, happened_at:)
    return @mix if Entry.exists?(client_id: [ client_id, "#{client_id}-out-0" ])

    refuse_closed!
    option = @mix.correction.options.find { |candidate| candidate.kind == kind } ||
      raise(Rhexon::InvalidInput.new("There is nothing to #{kind.to_s.tr("_", " ")} any more", where: "way"))
    case kind
    when "accept"
      Entry.record!(client_id: client_id, kind: "note", happened_at: happened_at, mix: @mix,
                    body: { "way" => "accept", "sentence" => option.sentence })
    when "split" then split!(option, client_id, happened_at)
    when "discard" then return begin_again!(client_id, happened_at)
    end
    @mix.reload
  end

  # The batch lands on the shelf with its log entry, and stock goes down.
  # @return [Batch]
  def finish!(client_id:, happened_at:)
    return @mix.batch if @mix.batch

    refuse_closed!
    missing = @mix.sheet.recipe.components.find { |component| @mix.poured_g(component.name).zero? }
    raise Rhexon::InvalidInput.new("#{missing.name} is not in the pot yet", where: "pours") if missing

    Mix.transaction do
      total = @mix.poured.sum { |pour| pour["g"] }
      entry = Entry.record!(client_id: client_id, kind: "mixed", happened_at: happened_at, mix: @mix,
                            body: { "total_g" => total.round(2), "accepted" => @mix.correction.accepted })
      take_stock!(entry, "poured into #{@mix.name}")
      batch = Batch.create!(mix: @mix, product: @mix.product, name: @mix.name,
                            state: catalysed? ? "catalysed" : "mixed", made_on: happened_at.to_date,
                            opened_on: happened_at.to_date, expires_on: expires_on(happened_at.to_date),
                            usable_until: @mix.usable_until)
      StockMove.record!(batch: batch, grams: total, reason: "mixed", client_id: "#{client_id}-in", entry: entry)
      @mix.update!(closed_at: happened_at)
      batch
    end
  end

  # Thrown away before it was done: what was poured is gone.
  def discard!(client_id:, happened_at:)
    return if @mix.closed_at

    Mix.transaction do
      entry = Entry.record!(client_id: client_id, kind: "discarded", happened_at: happened_at, mix: @mix,
                            body: { "total_g" => @mix.poured.sum { |pour| pour["g"] }.round(2) })
      take_stock!(entry, "#{StockMove::THROWN_AWAY} with #{@mix.name}")
      @mix.update!(closed_at: happened_at)
    end
  end

  private

  # Each component goes out in proportion; the second pot keeps the time its hardener went in.
  def split!(option, client_id, happened_at)
    out = @mix.sheet.recipe.components.zip(option.pours).filter_map do |component, pour|
      grams = @mix.poured_g(component.name) - (pour.final_g - pour.add_g)
      [ component.name, grams ] if grams > 0.005
    end
    hardened = @mix.hardened_at
    Mix.transaction do
      most = out.max_by { |name, grams| grams / @mix.sheet.pours.find { |pour| pour.name == name }.g }
      second = @mix.twin!(name: "#{@mix.name}, second pot", pass_keys: [],
                          want: { "have" => { "name" => most[0], "g" => most[1] } })
      out.each_with_index do |(name, grams), index|
        Entry.record!(client_id: "#{client_id}-out-#{index}", kind: "poured", happened_at: happened_at, mix: @mix,
                      body: { "name" => name, "g" => -grams.round(2) })
        Entry.record!(client_id: "#{client_id}-in-#{index}", kind: "poured", happened_at: hardened || happened_at,
                      mix: second, body: { "name" => name, "g" => grams.round(2) })
      end
    end
  end

  def begin_again!(client_id, happened_at)
    Mix.transaction do
      fresh = @mix.twin!
      discard!(client_id: client_id, happened_at: happened_at)
      fresh
    end
  end

  def refuse_closed!
    raise Rhexon::InvalidInput.new("This mix is finished; begin a new one", where: "mix") if @mix.closed_at
  end

  def typed_g(text, component)
    typed = Rhexon::Typed.read(text, unit: :g, where: "g")
    typed.kind == :mass ? typed.value : typed.value * component.density_g_per_ml
  end

  def take_stock!(entry, reason)
    @mix.sheet.recipe.components.each do |component|
      grams = @mix.poured_g(component.name)
      Shelf::Stock.take!(component.product, grams, entry: entry, reason: reason) if component.product && grams.positive?
    end
  end

  def catalysed? = @mix.sheet.recipe.components.any? { |component| component.role == "hardener" }

  def expires_on(day)
    return if catalysed?

    if @mix.product
      Rhexon::Stock::Keeping.until(@mix.product.to_value, "mixed", day, shellac_months: Shop.current.shellac_months)
    else
      Rhexon::Stock::Keeping.blend_until(day)
    end
  end
end
