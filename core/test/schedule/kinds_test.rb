require_relative "../test_helper"

class KindsTest < CoreTest
  KINDS = Rhexon::Schedule::Kinds

  def product(id, **fields) = Rhexon::Materials::Product.read({ "id" => id, **fields.transform_keys(&:to_s) })

  def shelf(*more)
    [ *PRODUCTS.map { |record| Rhexon::Materials::Product.read(record) }, *more ].to_h { |found| [ found.id, found ] }
  end

  def wax = product("wax", name: "Paste wax", class: "wax")
  def thinner = product("spirit", name: "Spirit", class: "thinner")
  def filler = product("filler", name: "Clear filler", class: "waterborne_filler", role: "pore filler")

  def film(kind) = Rhexon::Work::Kind.find(kind).film? ? { wet_um: 50, coats: 1 } : {}

  def check(step, products = shelf(wax, thinner, filler))
    document = Rhexon::Schedule::Document.check!(document(step))
    Rhexon::Schedule::Document.check_names!(document, faces: [ "show" ], products: products, rooms: [ "bench" ],
                                                      tools: [ "gun" ], people: [ "imke" ])
    Rhexon::Schedule::Fitting.check_changes!(document, nil, products)
  end

  def test_a_stain_is_a_dye_or_a_pigment_stain_and_nothing_else
    check(step("s1", "stain", product: "russet", method: "spray"))
    error = refusal { check(step("s1", "stain", product: "wax", method: "wipe")) }
    assert_equal "steps/s1/product", error.where
    assert_includes error.message, "Stain cannot use Paste wax: it wants a dye or a pigment stain. " \
                                   "Accepted: Umber oil stain, Russet dye."
    assert_match(/cannot use W20/, refusal { check(step("s1", "stain", product: "w20", method: "wipe")) }.message)
    assert_match(/cannot use Clear filler/, refusal {
      check(step("s1", "stain", product: "filler", method: "wipe"))
    }.message)
  end

  def test_pores_are_filled_with_a_filler_or_with_a_slurry_of_a_finish
    check(step("s1", "fill", product: "filler", method: "wipe"))
    check(step("s1", "fill", product: "seal", method: "pad", way: "slurry", grits: [ "P400" ]))
    assert_match(/Clear filler cannot be sprayed: that is not how it is laid on\. Accepted: wiped, padded, brushed/,
                 refusal { check(step("s1", "fill", product: "filler", method: "spray")) }.message)
    assert_match(/Dewaxed shellac does not go on that way\. Accepted: a slurry/,
                 refusal { check(step("s1", "fill", product: "seal", method: "pad")) }.message)
    assert_match(/Clear filler does not go on that way/,
                 refusal { check(step("s1", "fill", product: "filler", method: "wipe", way: "slurry")) }.message)
    assert_match(/cannot use Russet dye/, refusal {
      check(step("s1", "fill", product: "russet", method: "wipe"))
    }.message)
  end

  def test_wax_is_waxed_and_oil_is_oiled
    oil = product("oil", name: "Rubbing oil", class: "siccative_oil")
    check(step("s1", "wax", product: "wax", method: "wipe"))
    check(step("s1", "oil", product: "oil", method: "wipe", coats: 3), shelf(oil))
    assert_match(/Wax cannot use Bar varnish: it wants a wax/,
                 refusal { check(step("s1", "wax", product: "varnish", method: "brush")) }.message)
    assert_match(/Oil cannot use Bar varnish/,
                 refusal { check(step("s1", "oil", product: "varnish", method: "wipe")) }.message)
  end

  # At every door, also that of a shop file.
  def test_a_way_that_is_not_known_is_refused_with_a_sentence
    error = refusal { Rhexon::Planning::Shop.new(shop_json(piece(document(step("s1", "clean", way: "pray"))))) }
    assert_match(/Clean is not done by pray\. Accepted: vacuum, tack/, error.message)
    assert_match(/Sand is not done by putty/,
                 refusal { check(step("s1", "sand", grits: [ "P150" ], way: "putty")) }.message)
  end

  def test_a_kind_is_done_in_its_own_ways_and_with_what_it_may_rub_with
    changed = ->(kind, **fields) {
      Rhexon::Schedule::Edit.apply(document,
                                   { "op" => "add_step", "after" => nil, "step" => step("s1", kind, **fields) })
    }
    assert_match(/Strip is not done by putty\. Accepted: scraping, sanding, warm_scraping, stripper/,
                 refusal { changed.("strip", way: "putty") }.message)
    assert_match(/Sand is not done with fine compound\. Accepted: paper/,
                 refusal { changed.("sand", grits: [ "compound-fine" ]) }.message)
    assert_match(/needs how it is done/, refusal { changed.("clean") }.message)
    changed.("rub_out", grits: %w[P1200 wool-0000 compound-fine])
    changed.("clean", way: "wash")
  end

  def test_a_coat_is_a_film_laid_on_by_a_method_its_product_has_a_wet_film_for
    check(coat("s1", product: "varnish", method: "brush"))
    assert_match(/Coat cannot use Russet dye/, refusal { check(coat("s1", product: "russet")) }.message)
    assert_match(
      /Bar varnish cannot be padded: its page gives no wet film for that\. Accepted: sprayed, brushed, rolled/,
      refusal { check(coat("s1", product: "varnish", method: "pad")) }.message
    )
    own = shelf(product("brushing", name: "Brushing lacquer", class: "nitro_lacquer", wet_um: { "brush" => 90 }))
    check(coat("s1", product: "brushing", method: "brush"), own)
  end

  def test_a_product_without_solids_makes_no_film
    odd = shelf(product("odd", name: "Odd one", class: "water_dye", mechanism: "coalescing"))
    assert_match(/Odd one cannot be laid on as a film/, refusal { check(coat("s1", product: "odd"), odd) }.message)
  end

  # From outside it is refused where it comes in; what was kept once is planned without it.
  def test_a_piece_with_a_field_that_its_kind_has_not_is_refused_in_words
    stray = document(coat("s1", product: "varnish", method: "brush", wet_um: 80), step("s2", "look", wipe_off: true))
    error = refusal { plan(piece(stray)) }
    assert_equal "pieces/top/steps/s2/wipe_off", error.where
    assert_match(/\ALook has no wipe off\. Accepted: .*asks/, error.message)
    assert plan(piece(Rhexon::Schedule::Fitting.without_strays(stray))).build.ready["top"]
    sound = document(coat("s1"))
    assert_same sound, Rhexon::Schedule::Fitting.without_strays(sound)
  end

  def test_a_step_has_the_fields_of_its_kind_and_what_stood_there_before_is_left_alone
    before = Rhexon::Schedule::Document.check!(
      document(step("s1", "look", minutes: 5), step("s2", "sand", grits: [ "P150" ]))
    )
    error = refusal do
      Rhexon::Schedule::Edit.apply(before, { "op" => "change_step", "id" => "s2", "set" => { "wet_um" => 50 } })
    end
    assert_equal [ "steps/s2/wet_um", "Sand has no wet um" ], [ error.where, error.message.split(".").first ]
    assert_equal "later",
                 Rhexon::Schedule::Edit.apply(before,
                                              {
                                                "op" => "change_step", "id" => "s1", "set" => { "asks" => "later" }
                                              })["steps"][0]["asks"],
                 "what stood there before is no hindrance"
    brushed = document(coat("s1", method: "brush"))
    Rhexon::Schedule::Fitting.check_changes!(document(coat("s1", method: "brush", coats: 3)), brushed, shelf)
    assert_match(/cannot be padded/,
                 refusal {
                   Rhexon::Schedule::Fitting.check_changes!(document(coat("s1", method: "pad")), brushed, shelf)
                 }.message)
    assert_equal "note",
                 Rhexon::Schedule::Edit.apply(before,
                                              {
                                                "op" => "change_step", "id" => "s2", "set" => { "name" => "note" }
                                              })["steps"][1]["name"]
  end

  def test_only_a_thinner_thins_and_tools_people_and_drying_rooms_are_names_too
    check(coat("s1", thinner: "spirit"))
    assert_match(/names a thinner that is not there: russet. Accepted: spirit/,
                 refusal { check(coat("s1", thinner: "russet")) }.message)
    assert_match(/names a tool that is not there: brush/, refusal { check(coat("s1", tool: "brush")) }.message)
    assert_match(/names a room that is not there: attic/, refusal { check(coat("s1", dry_room: "attic")) }.message)
    assert_match(/names a person that is not there: Nobody/,
                 refusal { check(coat("s1", pins: [ { "coat" => 1, "person" => "Nobody" } ])) }.message)
  end

  def test_forms_offer_what_the_rule_accepts_the_usual_ones_first
    products = shelf(wax, thinner, filler, product("top", name: "A top", class: "oil_varnish", role: "top coat")).values
    assert_equal %w[umber russet], KINDS.sorted("stain", products).map(&:id),
                 "a role that is named goes first, then as they stand on the shelf"
    assert_equal [ "top", "w20" ], KINDS.sorted("coat", products).map(&:id).first(2)
    assert_equal "waxy", KINDS.sorted("coat", products).last.id, "what holds wax goes last"
    KINDS.laying.each do |kind|
      KINDS.sorted(kind, products).each do |product|
        KINDS.methods(kind, product).each do |method|
          check(
            step("s1", kind, product: product.id, method: method,
                             **(kind == "coat" ? { role: "top" } : {}), **film(kind),
                             **(kind == "fill" && product.film? ? { way: "slurry" } : {})),
            products.to_h { |one| [ one.id, one ] }
          )
        end
      end
    end
    assert_equal [], KINDS.methods("sand", products.first)
  end

  def test_every_kind_of_the_schema_is_listed
    schema = JSON.parse(
      File.read(File.join(Rhexon::Schema::FOLDER, "rhexon-schedule-2.json"))
    )["$defs"]["step"]["properties"]
    assert_equal schema["kind"]["enum"].sort, KINDS.all.sort
    assert_equal schema.keys.sort, KINDS.all.flat_map { |kind| KINDS.fields(kind) }.uniq.sort
  end

  # Chromium(VI) is no step, by whatever word the shelf has it; chrome green, an oxide, is a pigment like others.
  def test_what_is_too_dangerous_is_refused_with_a_dye_in_its_place
    salts = [
      product("a", name: "Potassium dichromate", class: "water_dye"),
      product("b", name: "Old brown crystals", class: "water_dye", hazards: "Contains chromium(VI), H350"),
      product("c", name: "Number 4", class: "water_dye", notes: "bichromate of potash, 5 %")
    ]
    salts.each do |salt|
      error = refusal { check(step("s1", "stain", product: salt.id, method: "wipe"), shelf(*salts)) }
      assert_match(/chromium\(VI\).*not offered.*Accepted: a dye of that colour, such as Umber oil stain, Russet dye/,
                   error.message)
    end
    assert_equal %w[umber russet], KINDS.sorted("stain", shelf(*salts).values).map(&:id)
    green = product("green", name: "Chrome green", class: "water_dye")
    check(step("s1", "stain", product: "green", method: "wipe"), shelf(green))
  end
end
