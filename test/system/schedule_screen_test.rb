require "application_system_test_case"

class ScheduleScreenTest < ApplicationSystemTestCase
  setup do
    @piece = make_piece(steps: [ { "id" => "s1", "kind" => "sand", "grits" => [ "P180" ] }, coat("s2", coats: 2) ])
    visit "/pieces/#{@piece.id}/schedule"
    assert_selector "[role=option]", count: 3
  end

  def document = @piece.schedule.reload.document
  def steps = document["steps"]

  test "by keys alone: walk, thicken, move, add, undo, table" do
    row("Sand P180").click
    press :arrow_down, row("Sand P180")
    assert_selector "[role=option][aria-selected=true]", text: "Coat 1 of 2"
    page.active_element.send_keys(%i[shift arrow_up])
    eventually { steps.last["wet_um"] == 105 }
    press :arrow_down, page.active_element
    page.active_element.send_keys(:arrow_right)
    eventually { steps.last["pins"]&.first&.fetch("coat") == 2 }
    assert_text "set by you"
    find("h1").click
    press "t"
    assert_selector "table caption", text: /Plan of the schedule/, visible: :all
    press "t"
    2.times { |index| press("z") && eventually { @piece.schedule.reload.head.number == 4 - index } }
    assert_equal 100, steps.last["wet_um"]
    press "?"
    assert_selector "[role=dialog]", text: "Keys on this screen"
  end

  state "what the server refuses is said beside the field and nothing is lost" do
    row("Sand P180").click
    grits = find_field("Grits, in order")
    grits.set("P181, P220").send_keys(:enter)
    assert_selector ".error-text", text: "There is no P181"
    assert_equal "P181, P220", grits.value
    assert_equal [ "P180" ], steps.first["grits"]
    grits.set("P180, P220").send_keys(:enter)
    assert_selector "[role=option]", text: "Sand P180, P220"
    assert_quiet_console(except: /422/)
  end

  test "units are chosen by quantity, on this device" do
    row("Coat 1 of 2").click
    assert_text "Wet film 100 µm"
    click_on "Units"
    select "mil", from: "Film"
    select "ft²", from: "Areas"
    assert_accessible
    click_on "Close"
    assert_text "Wet film 3.9 mil"
    assert_selector "svg text", text: "mil", exact_text: true
    assert_text(/ ft²/)
    find_field("Wet film, mil").set("4").send_keys(:enter)
    eventually { (steps.last["wet_um"] - 101.6).abs < 0.01 }
    assert_quiet_console
  end

  state "coats a day, what a level is for, and how the piece lies" do
    row("Coat 1 of 2").click
    tab "How and where"
    select "1 coat at most", from: "On one day"
    eventually { steps.last["coats_a_day"] == 1 }
    tab "Step"
    click_on "New step"
    within("[role=dialog]") { click_on "Scuff", match: :first }
    select "take off nibs (denib)", from: "What it is for"
    eventually { steps.last["aim"] == "denib" }
    assert_selector "[role=option]", text: "Denib P320"
    from_menu "House rules"
    assert_select "Wet work lies", selected: "by the piece: flat"
    select "fixed, nothing is turned", from: "Wet work lies"
    eventually { document["support"] == "fixed" }
    assert_quiet_console
  end

  state "somebody else edited: it says so, and the change goes on top" do
    @piece.schedule.reload.edit!({ "op" => "change_step", "id" => "s1", "set" => { "grits" => %w[P150 P180] } },
                                 base: @piece.schedule.head.number, reason: "Coarser start")
    row("Coat 1 of 2").click
    find_field("Coats").set("3").send_keys(:enter)
    assert_text "The schedule has changed since you opened it"
    assert_text "Coarser start"
    click_on "Make my change on top"
    assert_selector "[role=option]", text: "Coat 3 of 3"
    assert_equal [ %w[P150 P180], 3 ], [ steps.first["grits"], steps.last["coats"] ]
  end

  state "coats that are done stay: a change splits off the rest" do
    log(@piece, "s1/1/top", "done", 3.hours.ago)
    log(@piece, "s2/1/top", "done", 2.hours.ago)
    visit current_path
    row("Coat 2 of 2").click
    find("[aria-label='Wet film: 5 µm more']").click
    eventually { steps.size == 3 }
    assert_equal [ 100, 105 ], steps.last(2).map { |step| step["wet_um"] }
  end

  state "comb, product and step order are changed in place" do
    row("Coat 1 of 2").click
    find(".comb-tooth", text: "90").click
    eventually { steps.last["wet_um"] == 90 }
    select "Orrin dewaxed shellac", from: "Product"
    eventually { steps.last["product"] == "seal" }
    click_on "Earlier"
    eventually { steps.first["id"] == "s2" }
    click_on "Remove"
    eventually { steps.size == 1 }
    click_on "Undo"
    eventually { steps.size == 2 }
    from_menu "History"
    assert_selector "[role=dialog]", text: "Orrin dewaxed shellac"
    assert_selector "[role=dialog]", text: "left behind"
  end

  state "a house rule is switched for this schedule and the plan follows" do
    from_menu "House rules"
    within "[role=dialog]" do
      select "always", from: "Scuff between coats that meet their window"
      assert_accessible
    end
    eventually { document["house"] == { "scuff" => "always" } }
    press :escape
    assert_selector "[role=option]", text: "Scuff P320"
    click_on "Undo"
    assert_no_selector "[role=option]", text: "Scuff P320"
  end

  test "a selected start is dragged and the plan follows" do
    row("Coat 2 of 2").click
    before = @piece.schedule.reload.head.number
    overlay = find(".film-section rect[fill=transparent]")
    at, left, wide = start_of_selected.values_at("x", "left", "wide")
    page.driver
      .browser.action
      .move_to(overlay.native, (at - left - wide / 2).round, 0)
      .click_and_hold
      .move_by(30, 0)
      .move_by(30, 0).release.perform
    eventually { @piece.schedule.reload.head.number > before || page.has_css?(".error-text", wait: 0) }
  end

  # Where the selected coat begins on the picture, and the surface that takes the pointer.
  def start_of_selected
    assert_selector ".film-section g[data-state=selected]"
    page.evaluate_script("(() => { const box = document.querySelector('.film-section " \
                         "rect[fill=transparent]').getBoundingClientRect(); const film = " \
                         "document.querySelector('.film-section g[data-state=selected] " \
                         "path:nth-of-type(2)').getBoundingClientRect(); return { x: film.left + 1, y: box.top + " \
                         "box.height / 2, left: box.left, wide: box.width } })()")
  end

  test "a finger drags a start once it has moved far enough, and scrolls before" do
    row("Coat 2 of 2").click
    before = @piece.schedule.reload.head.number
    x, y = start_of_selected.values_at("x", "y")
    finger = ->(type, by) {
      page.driver.browser.execute_cdp(
        "Input.dispatchTouchEvent", type: type, touchPoints: type == "touchEnd" ? [] : [ { x: x + by, y: y } ]
      )
    }
    page.driver.browser.execute_cdp("Emulation.setTouchEmulationEnabled", enabled: true)
    finger.call("touchStart", 0)
    finger.call("touchMove", 4)
    assert_no_selector "[data-part=drag]"
    [ 20, 40, 60 ].each { |by| finger.call("touchMove", by) }
    assert_selector "[data-part=drag]"
    finger.call("touchEnd", 60)
    eventually { @piece.schedule.reload.head.number > before || page.has_css?(".error-text", wait: 0) }
  end

  state "where a coat dries, how it lies and what is masked" do
    Room.create!(name: "loft", t_c: 18, rh: 50)
    piece = make_piece(name: "Door", steps: [ coat("s1", faces: %w[top]) ])
    piece.faces.create!(name: "rim", kind: "edges", area_m2: 0.2, grain: "closed", position: 1)
    visit "/pieces/#{piece.id}/schedule"
    tab "How and where"
    select "edges first", from: "Pattern"
    eventually { piece.schedule.reload.document["steps"].first["pattern"] == "edges_first" }
    select "loft", from: "Dries in"
    eventually { piece.schedule.reload.document["steps"].first["dry_room"] == "loft" }
    select "hung, all faces at once", from: "Lies"
    within("fieldset", text: "Masked") { check "rim" }
    eventually { piece.schedule.reload.document["steps"].first.values_at("support", "mask") == [ "hung", [ "rim" ] ] }
    assert_equal "loft", ShopFloor.new.plan.of_piece(piece.core_id).first.pass.dry_room
    assert_accessible
    assert_quiet_console
  end

  state "the chance of being ready as dates, with what drives it" do
    tab "Chance"
    assert_selector "section[aria-label='Chance of being ready']",
                    text: /by the date asked for.*(one in ten after|give or take)/
    assert_selector ".film-section [data-part=chance] circle", minimum: 8
  end

  state "a step that cannot be placed stands in the list and can go" do
    Room.first.update!(t_c: 3)
    Product.create!(code: "varnish", maker: "Marram", name: "bar varnish", kind: "oil_varnish", role: "top coat")
    piece = make_piece(
      name: "Frost",
      steps: [
        coat("s1", product: "varnish", method: "brush", wet_um: 85),
        coat("s2", product: "varnish", method: "brush", wet_um: 85)
      ]
    )
    visit "/pieces/#{piece.id}/schedule"
    assert_text "Stop: no date can be given"
    within("[aria-label='Steps that cannot be placed']") { click_on "Remove" }
    eventually { piece.schedule.reload.document["steps"].size == 1 }
  end

  state "works on a tablet and on paper sizes without sideways scrolling" do
    [ [ 820, 1180 ], [ 1280, 800 ] ].each do |width, height|
      page.current_window.resize_to(width, height)
      visit "/bench"
      assert_selector "h1", text: "Bench"
      assert_operator page.evaluate_script("document.documentElement.scrollWidth"), :<=, width
      assert_accessible
    end
  end

  state "low light keeps its contrast" do
    click_on "Low light"
    assert_selector "html[data-light=low]"
    assert_accessible
    visit "/bench"
    assert_accessible
  end

  state "unknown pieces and places say so" do
    visit "/pieces/9999/schedule"
    assert_text "Nothing is kept here"
    click_on "Go to the bench"
    assert_selector "h1", text: "Bench"
  end

  state "what if: each answer with its date, and one of them applied" do
    Room.create!(name: "loft", t_c: 27, rh: 40)
    piece = make_piece(name: "Warm top", steps: [ coat("s1", coats: 3) ], use: "show")
    visit "/pieces/#{piece.id}/schedule"
    tab "What if"
    assert_selector ".what-if", text: "2 °C warmer in the bench"
    assert_selector ".what-if", text: "sooner"
    find(".what-if", text: "Work and dry in the loft").click
    assert_no_selector ".what-if", text: "Work and dry in the loft"
    assert_equal "loft", piece.schedule.reload.document["steps"].first["room"]
    assert_accessible
  end

  state "every product that the lists of stain and coat offer, by every method" do
    Product.create!(code: "wax", maker: "Thornlet", name: "pale paste wax", kind: "wax", role: "wax")
    Product.create!(code: "water", maker: "Tap", name: "clean water", kind: "thinner", role: "thinner")
    piece = make_piece
    visit "/pieces/#{piece.id}/schedule"
    [ "Stain", "Top coat" ].each_with_index do |kind, index|
      click_on index.zero? ? "Add the first step" : "New step", match: :first
      within("[role=dialog]") { find(".kind-button", text: kind, match: :first).click }
      assert_no_selector "[role=dialog]"
      assert_selector "[role=option]", text: /#{kind}/i
    end
    { "Stain" => %w[russet], "Top coat" => %w[seal w20 waxy] }.each do |words, codes|
      find("[role=option]", text: words, match: :first).click
      products = find_field("Product").all("option").map(&:value)
      assert_equal codes, products.sort
      products.each do |code|
        step = -> {
          piece.schedule.reload.document["steps"].find do |found|
            found["kind"] == (words == "Stain" ? "stain" : "coat")
          end
        }
        select Product.find_by!(code: code).full_name, from: "Product"
        assert_equal code, wait_for(code) { step.call["product"] }
        methods = Rhexon::Schedule::Kinds.methods(step.call["kind"], Product.find_by!(code: code).to_value)
        listed = "[...[...document.querySelectorAll('.ui-field')].find((field) => " \
                 "field.textContent.startsWith('Method')).querySelectorAll('option')].map((option) => option.value)"
        assert_equal methods, wait_for(methods) { page.evaluate_script(listed) }
        methods.each do |method|
          select Rhexon::Materials::Methods::DONE.fetch(method), from: "Method"
          assert_equal method, wait_for(method) { step.call["method"] }
          assert_no_selector ".ui-trouble, .error-text"
        end
      end
    end
    assert_quiet_console
  end

  state "a shelf without dyes says what to put there" do
    Product.find_by!(code: "russet").destroy!
    piece = make_piece
    visit "/pieces/#{piece.id}/schedule"
    click_on "Add the first step", match: :first
    within("[role=dialog]") do
      assert_selector ".kind-button[disabled]", text: "Put a dye or a pigment stain on the shelf first"
    end
  end

  test "a piece that cannot be computed is set aside, told on every page, and undone" do
    make_piece(name: "Stool", steps: [ coat("s1") ])
    piece = make_piece(steps: [ coat("s1") ])
    poison(piece)
    visit "/bench"
    assert_text "Set aside, since it cannot be computed: Desk top"
    assert_text "stool"
    assert_accessible
    within(".set-aside") { click_on "Desk top" }
    assert_text "Stain cannot use Thornlet pale paste wax"
    assert_accessible
    click_on "History"
    within("[role=dialog]") { assert_text "By hand" }
    press :escape
    assert_text "The last change: By hand"
    click_on "Undo the last change"
    assert_selector "[role=option]", text: "Top coat"
    assert_no_text "Set aside"
    assert_quiet_console
  end

  private

  def wait_for(wanted)
    page.document.synchronize { yield.tap { |seen| raise Capybara::ExpectationNotMet unless seen == wanted } }
  rescue Capybara::ExpectationNotMet
    yield
  end
end
