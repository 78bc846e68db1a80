# Begins a mix, records its pours, and puts it on the shelf when it is done.
class MixDesk
  class << self
    # For passes of the plan: what the coat needs, in the batch that serves it.
    # @param key [String] pass key
    # @return [Mix]
    def begin_for_pass!(key, now: Time.current)
      known = Mix.open.find { |mix| mix.pass_keys.include?(key) }
      return known if known

      plan = ShopFloor.new(now: now).plan
      batch = plan.batches.find { |candidate| candidate.passes.include?(key) } or
        raise Rhexon::Refusal.new("Nothing has to be mixed for that pass any more: it is done, or the schedule has changed", where: "pass")
      product = Product.find_by!(code: batch.product.id)
      Mix.create!(name: product.full_name, product: product, room: Room.find_by(name: batch.room), components: components_of(batch.sheet.recipe, product), want: { "total_ml" => batch.ml.round(1) }, pass_keys: batch.passes, usable_g: usable_g(batch), resolution_g: Shop.current.scale_g)
    end

    # A mix by itself: a product, a recipe of the shop, or typed components.
    # @param body [Hash] "product", "recipe_id" or "components"; "want" {"amount" => "1,5 l"} or {"have" => name, "amount"}; "thinning", "thinner", "hardener_parts", "room", "container"
    # @return [Mix]
    def begin_alone!(body)
      product = body["product"].present? ? Product.find_by(code: body["product"]) || refuse("That product is not on the shelf", "product") : nil
      components = components(body, product)
      want = want(body["want"] || {})
      mix = Mix.new(name: name(body, product), product: product, room: Room.find_by(name: body["room"]) || Room.order(:id).first, components: components, want: want, pass_keys: [], resolution_g: Shop.current.scale_g,
                    container_ml: body["container"].present? ? Rhexon::Mixing::Typed.read(body["container"], wants: :volume, unit: :ml, where: "container").value : nil)
      mix.sheet
      mix.tap(&:save!)
    end

    # What would be poured, not kept.
    # @return [Rhexon::Mixing::PourSheet]
    def preview(body)
      product = body["product"].present? ? Product.find_by(code: body["product"]) : nil
      Rhexon::Mixing::PourSheet.new(Rhexon::Mixing::Recipe.new(components(body, product)), want(body["want"] || {}), resolution_g: Shop.current.scale_g)
    end

    # @return [Array<Hash>] components of rhexon-mix/1 with product codes
    def components_of(recipe, product = nil)
      recipe.components.map do |component|
        { "name" => component.name, "parts" => component.parts, "basis" => component.basis, "of" => component.of, "role" => component.role, "range" => component.range, "product" => component.product, "tolerance_percent" => component.tolerance_percent,
          "class" => (product&.kind if component.role == "base"), "density_g_per_ml" => (component.density_g_per_ml unless component.estimate?), "price_per_kg" => component.price_per_kg, "note" => component.note }.compact
      end
    end

    private

    # What these hands can lay on before the pot life ends.
    def usable_g(batch)
      batch.usable_until && (batch.sheet.total_g * (batch.usable_until - batch.mixed_at) / (batch.used_until - batch.mixed_at).to_f).round(1)
    end

    def components(body, product)
      return components_of(Rhexon::Mixing::ProductMix.recipe(product.to_value, Shelf.products, step_of(body)), product) if product
      return Recipe.find(body["recipe_id"]).components if body["recipe_id"]

      typed = body["components"]
      refuse("Choose a product or a recipe, or name what goes in", "product") unless typed.is_a?(Array) && typed.any?
      Rhexon::Schedule::Schema.check!("rhexon-mix-1", { "components" => typed, "want" => { "total_g" => 1 } })
      typed
    end

    def step_of(body)
      step = body.slice("thinning", "thinner", "hardener_parts").compact
      return step if step.empty?

      sound = step.merge("id" => "s1", "kind" => "coat", "product" => "any", "method" => "brush", "wet_um" => 50, "coats" => 1, "role" => "top")
      Rhexon::Schedule::Document.check!({ "format" => "rhexon-schedule/1", "steps" => [ sound ] })
      step
    end

    def want(given)
      Rhexon.refuse_unless(given.is_a?(Hash), "How much is wanted is missing", where: "want")
      typed = Rhexon::Mixing::Typed.read(given["amount"], unit: given["unit"] == "g" ? :g : :ml, where: "want")
      amount = typed.kind == :mass ? { "g" => typed.value } : { "ml" => typed.value }
      given["have"].present? ? { "have" => { "name" => given["have"], **amount } } : amount.transform_keys { |unit| "total_#{unit}" }
    end

    def name(body, product) = product&.full_name || (body["recipe_id"] && Recipe.find(body["recipe_id"]).name) || body["name"].presence || "Own mix"
    def refuse(sentence, where) = raise(Rhexon::Refusal.new(sentence, where: where))
  end

  def initialize(mix)
    @mix = mix
  end

  # @param body [Hash] client_id, name, and g or what was typed
  def pour!(body, happened_at:)
    refuse_closed! unless Entry.exists?(client_id: body["client_id"])
    index = @mix.sheet.recipe.index(body["name"]) or raise Rhexon::Refusal.new("The mix has no component called #{body["name"]}", where: "name", accepted: @mix.sheet.recipe.components.map(&:name).join(", "))
    component = @mix.sheet.recipe.components[index]
    grams = body["g"] || typed_g(body["typed"], component)
    Rhexon.refuse_unless(grams.is_a?(Numeric) && grams.positive? && grams <= 1_000_000, "#{grams.inspect} g cannot have been poured", where: "g", accepted: "more than 0 g")
    Entry.record!(client_id: body["client_id"], kind: "poured", happened_at: happened_at, mix: @mix, body: { "name" => component.name, "g" => grams.round(2) })
    @mix.reload
  end

  def take_back!(entry_id, client_id:, happened_at:)
    refuse_closed!
    wrong = @mix.entries.find_by(id: entry_id, kind: "poured") || raise(Rhexon::Refusal.new("There is no such pour to take back", where: "corrects"))
    Entry.record!(client_id: client_id, kind: "correction", happened_at: happened_at, mix: @mix, corrects: wrong, body: {})
    @mix.reload
  end

  # After an over-pour: leave it, split the pot, or throw it away and begin again. Topping up needs no decision.
  # @return [Mix] the mix to go on with
  def way_on!(kind, client_id:, happened_at:)
    return @mix if Entry.exists?(client_id: [ client_id, "#{client_id}-out-0" ])

    refuse_closed!
    option = @mix.correction.options.find { |candidate| candidate.kind == kind } || raise(Rhexon::Refusal.new("There is nothing to #{kind.to_s.tr("_", " ")} any more", where: "way"))
    case kind
    when "accept" then Entry.record!(client_id: client_id, kind: "note", happened_at: happened_at, mix: @mix, body: { "way" => "accept", "sentence" => option.sentence })
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
    raise Rhexon::Refusal.new("#{missing.name} is not in the pot yet", where: "pours") if missing

    Mix.transaction do
      total = @mix.poured.sum { |pour| pour["g"] }
      entry = Entry.record!(client_id: client_id, kind: "mixed", happened_at: happened_at, mix: @mix, body: { "total_g" => total.round(2), "accepted" => @mix.correction.accepted })
      take_stock!(entry, "poured into #{@mix.name}")
      batch = Batch.create!(mix: @mix, product: @mix.product, name: @mix.name, state: catalysed? ? "catalysed" : "mixed", made_on: happened_at.to_date, opened_on: happened_at.to_date, expires_on: expires_on(happened_at.to_date), usable_until: @mix.usable_until)
      StockMove.record!(batch: batch, grams: total, reason: "mixed", client_id: "#{client_id}-in", entry: entry)
      @mix.update!(closed_at: happened_at)
      batch
    end
  end

  # Thrown away before it was done: what was poured is gone.
  def discard!(client_id:, happened_at:)
    return if @mix.closed_at

    Mix.transaction do
      entry = Entry.record!(client_id: client_id, kind: "discarded", happened_at: happened_at, mix: @mix, body: { "total_g" => @mix.poured.sum { |pour| pour["g"] }.round(2) })
      take_stock!(entry, "thrown away with #{@mix.name}")
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
      second = @mix.twin!(name: "#{@mix.name}, second pot", pass_keys: [], want: { "have" => { "name" => most[0], "g" => most[1] } })
      out.each_with_index do |(name, grams), index|
        Entry.record!(client_id: "#{client_id}-out-#{index}", kind: "poured", happened_at: happened_at, mix: @mix, body: { "name" => name, "g" => -grams.round(2) })
        Entry.record!(client_id: "#{client_id}-in-#{index}", kind: "poured", happened_at: hardened || happened_at, mix: second, body: { "name" => name, "g" => grams.round(2) })
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
    raise Rhexon::Refusal.new("This mix is finished; begin a new one", where: "mix") if @mix.closed_at
  end

  def typed_g(text, component)
    typed = Rhexon::Mixing::Typed.read(text, unit: :g, where: "g")
    typed.kind == :mass ? typed.value : typed.value * component.density_g_per_ml
  end

  def take_stock!(entry, reason)
    @mix.sheet.recipe.components.each do |component|
      grams = @mix.poured_g(component.name)
      ShelfStock.take!(component.product, grams, entry: entry, reason: reason) if component.product && grams.positive?
    end
  end

  def catalysed? = @mix.sheet.recipe.components.any? { |component| component.role == "hardener" }

  def expires_on(day)
    return if catalysed?

    @mix.product ? Rhexon::Stock::Keeping.until(@mix.product.to_value, "mixed", day, shellac_months: Shop.current.shellac_months) : day >> 6
  end
end
