# Begins a mix: for a pass of the plan, or by itself.
class Mix::Start
  # What a mix is asked for with, by name and type.
  TAKES = { pass: :words, product: :name, recipe_id: :whole, components: :list, name: :name,
            want: :table, make: :flag, thinning: :table, thinner: :name, hardener_parts: :number, room: :name,
            container: :typed }.freeze

  class << self
    # For passes of the plan: what the coat needs, in the batch that serves it.
    # @param key [String] pass key
    # @return [Mix]
    def for_pass!(key, now: Time.current)
      known = Mix.open.find { |mix| mix.pass_keys.include?(key) }
      return known if known

      plan = ShopFloor.new(now: now).plan
      batch = plan.batches.find { |candidate| candidate.passes.include?(key) } or
        raise Rhexon::InvalidInput.new(
          "Nothing has to be mixed for that pass any more: it is done, or the schedule has changed", where: "pass"
        )
      product = Product.find_by!(code: batch.product.id)
      Mix.create!(name: product.full_name, product: product, room: Room.find_by(name: batch.room),
                  components: components_of(batch.sheet.recipe, product), want: { "total_ml" => batch.ml.round(1) },
                  pass_keys: batch.passes, usable_g: batch.usable_g&.round(1), resolution_g: Shop.current.scale_g)
    end

    # A mix by itself: a product, a recipe of the shop, or typed components.
    # @param body [Hash] "product", "recipe_id" or "components"; "want" {"amount" => "1,5 l"} or {"have" => name,
    #   "amount"}; "make": a jar of a product that is made here, instead of a mix to lay on; "thinning", "thinner",
    #   "hardener_parts", "room", "container"
    # @return [Mix]
    def alone!(body)
      product = if body["product"].present?
        Product.find_by(code: body["product"]) || refuse("That product is not on the shelf", "product")
      else
        nil
      end
      components = components(body, product)
      want = want(body["want"] || {})
      mix = Mix.new(
        name: name(body, product), product: product, room: Room.find_by(name: body["room"]) || Room.order(:id).first,
        components: components, want: want, pass_keys: [], resolution_g: Shop.current.scale_g,
        container_ml: body["container"].present? ? Rhexon::Typed.read(
          body["container"], wants: :volume, unit: :ml, where: "container"
        ).value : nil
      )
      mix.sheet
      mix.tap(&:save!)
    end

    # What would be poured, not kept.
    # @return [Rhexon::Mixing::PourSheet]
    def preview(body)
      product = body["product"].present? ? Product.find_by(code: body["product"]) : nil
      Rhexon::Mixing::PourSheet.new(Rhexon::Mixing::Recipe.new(components(body, product)), want(body["want"] || {}),
                                    resolution_g: Shop.current.scale_g)
    end

    # @return [Array<Hash>] components of rhexon-mix/1 with product codes
    def components_of(recipe, product = nil)
      recipe.components.map do |component|
        {
          "name" => component.name, "parts" => component.parts, "basis" => component.basis, "of" => component.of,
          "role" => component.role, "range" => component.range, "product" => component.product,
          "tolerance_percent" => component.tolerance_percent, "class" => (product&.kind if component.role == "base"),
          "density_g_per_ml" => (component.density_g_per_ml unless component.estimate?),
          "price_per_kg" => component.price_per_kg, "note" => component.note,
          "components" => component.recipe && components_of(component.recipe)
        }.compact
      end
    end

    private

    def components(body, product)
      if product && body["make"]
        return components_of(Rhexon::Mixing::OwnBlend.recipe(product.to_value, Shelf.products))
      end
      if product
        return components_of(Rhexon::Mixing::ProductMix.recipe(product.to_value, Shelf.products, step_of(body)),
                             product)
      end
      return Access.named(Recipe, body["recipe_id"]).components if body["recipe_id"]

      typed = body["components"]
      refuse("Choose a product or a recipe, or name what goes in", "product") unless typed.is_a?(Array) && typed.any?
      Rhexon::Schema.check!("rhexon-mix-1", { "components" => typed, "want" => { "total_g" => 1 } })
      typed
    end

    def step_of(body)
      step = body.slice("thinning", "thinner", "hardener_parts").compact
      return step if step.empty?

      sound = step.merge("id" => "s1", "kind" => "coat", "product" => "any", "method" => "brush", "wet_um" => 50,
                         "coats" => 1, "role" => "top")
      Rhexon::Schedule::Document.check!({ "format" => "rhexon-schedule/2", "steps" => [ sound ] })
      step
    end

    def want(given)
      Rhexon.refuse_unless(given.is_a?(Hash), "How much is wanted is missing", where: "want")
      typed = Rhexon::Typed.read(given["amount"], unit: given["unit"] == "g" ? :g : :ml, where: "want")
      amount = typed.kind == :mass ? { "g" => typed.value } : { "ml" => typed.value }
      if given["have"].present?
        { "have" => { "name" => given["have"], **amount } }
      else
        amount.transform_keys { |unit| "total_#{unit}" }
      end
    end

    def name(body, product)
      product&.full_name || Access.named(Recipe, body["recipe_id"])&.name || body["name"].presence || "Own mix"
    end

    def refuse(sentence, where) = raise(Rhexon::InvalidInput.new(sentence, where: where))
  end
end
