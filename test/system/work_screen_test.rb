require "application_system_test_case"

# Kinds of work beside coats: offered, filled in, drawn, and gone round until they look right.
class WorkScreenTest < ApplicationSystemTestCase
  def open_pores = { faces: [ Face.new(name: "top", area_m2: 1.0, grain: "open") ], pores: "closed" }

  def filler!
    Product.create!(code: "filler", maker: "Quillon", name: "clear grain filler", kind: "waterborne_filler",
                    role: "pore filler")
  end

  def rows = all("[role=option] .step-words").map(&:text)

  # Pores are filled, looked at, and filled twice more because the look said so.
  test "a filling goes round until the look says yes" do
    filler!
    filled = { "id" => "s1", "kind" => "fill", "product" => "filler", "method" => "wipe" }
    piece = make_piece(**open_pores, steps: [ filled, { "id" => "s2", "kind" => "sand", "grits" => [ "P220" ] } ])
    visit "/pieces/#{piece.id}/schedule"
    find("[role=option]", text: /Sand P220/).click
    click_on "New step"
    within("[role=dialog]") { within("[data-group=likely]") { click_on "Look" } }
    assert_selector "[role=option]", text: /No open pore.*round 2/
    assert_equal({ "steps" => %w[s1 s2], "rounds" => 1, "most" => 4 },
                 piece.schedule.reload.document["steps"].last["again"])
    assert_accessible
    log(piece, "s1/1/top", "done", 20.hours.ago)
    log(piece, "s2/1/top", "done", 17.hours.ago)
    visit "/bench"
    assert_text "look"
    click_on "Once more"
    assert_text(/fill, Quillon clear grain filler, round 2/i)
    assert_equal "again", Entry.where(kind: "done").order(:id).last.body["answer"]
    log(piece, "s1/2/top", "done", 5.hours.ago)
    log(piece, "s2/2/top", "done", 2.hours.ago)
    visit "/bench"
    click_on "Once more"
    assert_text(/round 3/)
    log(piece, "s1/3/top", "done", 2.minutes.ago)
    log(piece, "s2/3/top", "done", 1.minute.ago)
    visit "/bench"
    click_on "Yes, it is right"
    assert_text "Nothing to do at the bench"
    assert_equal %w[again again yes], Entry.where(kind: "done").order(:id).filter_map { |entry| entry.body["answer"] }
    visit "/pieces/#{piece.id}/schedule"
    assert_selector "[role=option]", count: 9
    assert_quiet_console
  end

  # A gloss of 80 GU, 25 to 35 wanted: papers from the texture of a spray to P1500, which leaves 30.
  state "a rub-out to the sheen that is wanted is built from the papers there are" do
    Product.create!(code: "gloss", maker: "Skerrow", name: "L80 gloss", kind: "nitro_lacquer", role: "top coat",
                    figures: { "sheen_gu" => 80 })
    piece = make_piece(sheen_low: 25, sheen_high: 35, use: "show",
                       steps: [ coat("s1", product: "gloss", wet_um: 100, coats: 6) ])
    visit "/pieces/#{piece.id}/schedule"
    assert_text "It ends at about 80 GU (gloss), and 25 to 35 GU is wanted."
    click_on "New step"
    within "[role=dialog]" do
      fill_in "Find a kind of work", with: "satin"
      assert_no_selector "[data-group=build]"
      click_on "Rub out"
    end
    assert_selector "[role=option]", text: "Rub out P1000, P1500"
    assert_no_text "is wanted"
    within ".ladder" do
      assert_text "2 rungs"
      assert_text "P1500"
      assert_text "12.6 µm, takes 1.4 µm, satin"
      assert_text "30 GU"
    end
    select "fine synthetic pad, 15 µm", from: "One more"
    assert_text "It is there before the last rung"
    click_on "Stop at P1500"
    assert_no_text "It is there before the last rung"
    assert_equal %w[P1000 P1500], piece.schedule.reload.document["steps"].last["grits"]
    assert_accessible
  end

  state "moisture is read at the bench, and wood that is too wet is told" do
    piece = make_piece(steps: [
                         { "id" => "s1", "kind" => "measure", "way" => "moisture",
"readings" => 3 }, coat("s2", method: "spray")
                       ])
    visit "/bench"
    fill_in "Moisture, %, one place after the other", with: "16.2 15,8 16"
    click_on "Read: 16.0 %"
    assert_no_text "Moisture, %"
    assert_equal [ 16.2, 15.8, 16 ], Entry.find_by!(kind: "done").body["readings"]
    visit "/pieces/#{piece.id}/schedule"
    assert_text "too wet to finish"
    assert_accessible
  end

  state "every kind of work that is offered can be added, and each way it is done chosen" do
    filler!
    Product.create!(code: "wax", maker: "Thornlet", name: "pale paste wax", kind: "wax", role: "wax")
    Product.create!(code: "oil", maker: "Thornlet", name: "rubbing oil", kind: "siccative_oil", role: "oil")
    Product.create!(code: "glaze", maker: "Vellaby", name: "glaze medium", kind: "waterborne_glaze", role: "glaze")
    piece = make_piece
    Rhexon::Reference.new_steps.steps.each_with_index do |entry, index|
      # Wax goes last, and is a kind of its own: nothing is laid over it.
      visit "/pieces/#{piece.id}/schedule"
      click_on index.zero? ? "Add the first step" : "New step", match: :first
      within("[role=dialog]") do
        fill_in "Find a kind of work", with: entry["name"]
        find(".kind-button", text: /\A#{entry["name"]}/, match: :first).click
      end
      assert_no_selector "[role=dialog]"
      eventually { piece.schedule.reload.document["steps"].size == index + 1 }
      assert_no_selector ".ui-trouble"
      added = piece.schedule.document["steps"].max_by { |step| step["id"][1..].to_i }
      assert_equal entry["kind"], added["kind"]
      Rhexon::Schedule::Kinds.ways(added["kind"]).each do |way, words|
        next if added["kind"] == "fill"

        select words, from: { "measure" => "What is read", "test" => "With what" }.fetch(added["kind"], "How")
        eventually { piece.schedule.reload.document["steps"].find { |step| step["id"] == added["id"] }["way"] == way }
      end
      assert_no_selector ".ui-trouble, .error-text"
    end
    assert_quiet_console
  end

  state "what was there before is said on the piece's page, drawn, and stripped off" do
    piece = make_piece
    visit "/pieces/#{piece.id}/edit"
    select "unknown finish", from: "Found"
    fill_in "Coats, counted", with: "3"
    select "lacquer solvent: lacquer", from: "Softened by"
    select "closed", from: "Pores"
    click_on "Keep the change"
    assert_text "No steps yet"
    assert_equal({ "is" => "unknown", "coats" => 3, "state" => "sound", "family" => "lacquer" },
                 piece.faces.first.reload.found)
    assert_equal "closed", piece.reload.pores
    click_on "Add the first step"
    within("[role=dialog]") { within("[data-group=likely]") { click_on "Strip" } }
    assert_selector "[role=option]", text: "Strip by scraping"
    assert_text "as found"
    assert_accessible
  end
end
