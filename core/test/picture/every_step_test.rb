require_relative "../test_helper"
require "yaml"

# Every kind of step x every product of the demo shelf and every class x every method and hard window: refused with a
# sentence, or planned, drawn, checked and mixed for with finite numbers.
class EveryStepTest < CoreTest
  DEMO = File.expand_path("../../../db/demo/products.yml", __dir__)
  METHODS = %w[spray brush roller wipe pad].freeze
  VARIANTS = [
    {}, { "wipe_off" => true }, { "wet_on_wet" => true, "coats" => 2 }, { "one_batch" => true, "coats" => 3 },
    { "thinning" => { "percent" => 10, "of" => "base" } },
    { "tint" => [ { "product" => "walnut", "percent" => 3 }, { "product" => "any_colourant", "percent" => 1 } ] }
  ].freeze

  def self.shelf
    demo = YAML.safe_load_file(DEMO, aliases: true).map do |row|
      {
        "id" => row["code"], "name" => row["name"], "maker" => row["maker"], "class" => row["kind"],
        "role" => row["role"], "colour" => row["colour"] || "clear", **row["figures"].to_h
      }
    end
    demo +
      Rhexon::Reference.classes.classes.keys.map { |kind| { "id" => "any_#{kind}", "class" => kind } }
  end

  SHELF = Rhexon::Reference.freeze_deep(shelf)

  # @param found [Hash, nil] what was there before
  def shop(*steps, found: nil)
    ids = steps.flat_map { |step| [ step["product"], *(step["tint"] || []).map { |part| part["product"] } ] }
    named = ids.compact.map { |id| SHELF.find { |product| product["id"] == id } }
    named += SHELF.select { |product| product["id"] == found["product"] } if found
    parts = named.flat_map { |product| [ product["thinner"], *(product["mix"] || []).map { |part| part["product"] } ] }
    Rhexon::Planning::Shop.new(shop_json(
                                 found_as(
                                   piece(document(*steps), wood: "open", use: "table_top", arris: "eased_2mm"), found
                                 ),
                                 products: SHELF.select { |product|
                                   named.include?(product) || parts.include?(product["id"])
                                 },
                                 tools: [ { "id" => "gun", "for" => "spray" } ]
                               ))
  end

  def found_as(piece, found)
    found ? piece.merge("faces" => piece["faces"].map { |face| face.merge("found" => found) }) : piece
  end

  # @return [Boolean] false when it was refused
  def sound?(*steps, found: nil)
    shop = shop(*steps, found: found)
  rescue Rhexon::InvalidInput => refusal
    assert_match(/\A\S+ .{8,}/, refusal.message)
    false
  else
    drawn(Rhexon::Search::Planner.plan(shop))
    true
  end

  def drawn(plan)
    sheet = Rhexon::Picture::Sheet.new(plan, "top")
    finite(report(plan), sheet.findings.map(&:to_h), sheet.air.map(&:to_h), sheet.open, figures(sheet.section),
           sheet.rows.map { |row| [ figures(row), row.mix && figures(row.mix) ] },
           plan.batches.map do |batch|
             [ batch.ml, batch.sheet.total_g ]
           end, figures(Rhexon::Picture::Bench.new(plan)), figures(Rhexon::Picture::ShopPlan.new(plan)))
  end

  # All answers that ask for nothing.
  def figures(drawing)
    drawing.class
      .public_instance_methods(false)
      .select { |name| drawing.method(name).arity.zero? && !%i[plan placement step].include?(name) }
      .map { |name| drawing.public_send(name) }
  end

  def finite(*values)
    values.each do |value|
      case value
      when Float then assert_predicate value, :finite?
      when Array then finite(*value)
      when Hash then finite(*value.values)
      when Rhexon::Picture::Section::Layer, Rhexon::Picture::Row::Ledger, Rhexon::Picture::ShopPlan::Strand
        finite(*value.to_a)
      end
    end
  end

  def fields(kind)
    film = Rhexon::Work::Kind.find(kind).film? ? { "wet_um" => 60, "coats" => 1 } : {}
    kind == "coat" ? { "role" => "top", **film } : film
  end

  # What a kind that lays nothing on must say, in each way it is done.
  OWN = {
    "sand" => [ { "grits" => [ "P150" ] } ], "wait" => [ { "minutes" => 5 }, { "milestone" => "full_cure" } ],
    "level" => %w[denib scuff between cut_back].map { |aim| { "grits" => [ "P320" ], "aim" => aim } },
    "rub_out" => [
      { "grits" => %w[P600 P1200
                      wool-0000] }, { "grits" => %w[P1000 compound-fine finishing-glaze], "lubricant" => "oil" }
    ],
    "polish" => [ { "grits" => %w[pumice rottenstone], "polish_on" => "felt" } ]
  }.freeze

  def own(kind)
    OWN[kind] || Rhexon::Schedule::Kinds.ways(kind).keys.map { |way| { "way" => way } }.then { |ways|
      ways.empty? ? [ {} ] : ways
    }
  end

  def test_every_product_in_every_kind_of_step_by_every_method
    all = Rhexon::Schedule::Kinds.laying.product(SHELF, METHODS, VARIANTS)
    taken = TestShare.of(name, all).count do |kind, product, method, variant|
      sound?(
        { "id" => "s1", "kind" => kind, "product" => product["id"], "method" => method, **fields(kind), **variant,
          **(kind == "fill" && variant.empty? ? { "way" => "slurry" } : {}) }
      )
    rescue StandardError => error
      flunk "#{kind} #{product["id"]} #{method} #{variant}: #{error.class} #{error.message} #{error.backtrace.first}"
    end
    assert_operator taken, :>, TestShare.full? ? 900 : 0
  end

  def test_every_film_levelled_while_it_is_soft_and_coated_again
    SHELF.each do |product|
      coat = { "id" => "s1", "kind" => "coat", "product" => product["id"], "method" => "spray", **fields("coat") }
      sound?(coat, { "id" => "s2", "kind" => "level", "grits" => [ "P320" ], "aim" => "between", "while_soft" => true },
             coat.merge("id" => "s3"))
    end
  end

  def test_no_other_kind_of_step_lays_a_product_on
    (Rhexon::Schedule::Kinds.all - Rhexon::Schedule::Kinds.laying).each do |kind|
      own(kind).each do |own|
        assert sound?({ "id" => "s1", "kind" => kind, **own }), "#{kind} #{own}"
        refute sound?({ "id" => "s1", "kind" => kind, "product" => "h12", "method" => "spray", **own }), kind
      end
    end
  end

  def laid_of_each
    Rhexon::Schedule::Kinds.laying.map do |kind|
      product = SHELF.find { |one| Rhexon::Schedule::Kinds.methods(kind, Rhexon::Materials::Product.read(one)).any? }
      read = Rhexon::Materials::Product.read(product)
      method = Rhexon::Schedule::Kinds.methods(kind, read).first
      way = { "way" => "slurry" } if kind == "fill" && read.film?
      { "kind" => kind, "product" => product["id"], "method" => method, **way.to_h, **fields(kind) }
    end
  end

  def one_of_each
    others = (Rhexon::Schedule::Kinds.all - Rhexon::Schedule::Kinds.laying).flat_map do |kind|
      own(kind).map { |own| { "kind" => kind, **own } }
    end
    laid_of_each + others
  end

  # Each kind under, between and over films, stains and fillers of the demo shelf.
  def test_every_kind_of_step_between_all_others
    laid = laid_of_each
    TestShare.of(name, laid.product(one_of_each, laid)).each do |steps|
      numbered = steps.each_with_index.map { |step, index| { "id" => "s#{index}", **step } }
      assert sound?(*numbered), numbered.map { |step| step.values_at("kind", "way", "product") }.inspect
    rescue StandardError => error
      flunk "#{steps.map { |step| step.values_at("kind", "way", "product") }}: #{error.class} #{error.message} " \
            "#{error.backtrace.first}"
    end
  end

  # Over whatever was there before: a coat of every product, every old finish, colour left in the pores.
  def test_every_kind_of_step_over_whatever_was_found
    coats = SHELF.select { |record| Rhexon::Materials::Product.read(record).film? }.map do |record|
      { "is" => "coated", "product" => record["id"], "coats" => 2, "state" => "worn" }
    end
    old = [ nil, *Rhexon::Work::Start::CLASSES.keys ].map do |family|
      { "is" => "unknown", "coats" => 3, "state" => "sound", **(family ? { "family" => family } : {}) }
    end
    others = [ { "is" => "stripped", "colour_left" => true }, { "is" => "bare", "surface" => "planed" } ]
    TestShare.of(name, [ *coats, *old, *others ].product(one_of_each)).each do |found, step|
      assert sound?({ "id" => "s1", **step }, found: found), "#{found} #{step.values_at("kind", "way", "product")}"
    rescue StandardError => error
      flunk "#{found} #{step}: #{error.class} #{error.message} #{error.backtrace.first}"
    end
  end

  # Every way a recipe may go, in everything that is offered to carry it, by every method.
  def test_a_recipe_goes_into_all_that_is_offered_for_it
    products = SHELF.map { |record| Rhexon::Materials::Product.read(record) }.to_h { |product| [ product.id, product ] }
    shares = { "walnut" => 0.03, "honey" => 0.01 }
    tried = Rhexon::Colour::RecipeStep::KINDS.sum do |kind|
      carriers = Rhexon::Colour::RecipeStep.carriers(kind, products.values)
      carriers.sum do |carrier|
        made = Rhexon::Colour::RecipeStep.fields(shares, carrier: carrier, products: products)
        methods = kind == "mend" ? [ nil ] : Rhexon::Schedule::Kinds.methods(kind, carrier)
        methods.count do |method|
          own = kind == "mend" ? { "way" => "touch_up" } : { "method" => method, **fields(kind) }
          assert sound?({ "id" => "s1", "kind" => kind, **made, **own }), "#{kind} in #{carrier.id} by #{method}"
        end
      end
    end
    assert_operator tried, :>, 60
  end

  def test_a_window_that_opens_at_once_adds_nothing_to_its_sheet_time
    shelf = PRODUCTS +
      [
        {
          "id" => "glaze", "class" => "pigment_oil_stain",
          "milestones_min" => { "wipe_off_earliest" => 0, "wipe_off_latest" => 40 }
        }
      ]
    plan = plan(piece(document(step("s1", "stain", product: "glaze", method: "wipe", wipe_off: true))), products: shelf)
    wiped = Rhexon::Picture::Sheet.new(plan, "top").rows.find { |row| row.kind == "wipe_off" }
    assert_equal [ 0 ], wiped.waits.first.rows.map(&:last).uniq
  end
end
