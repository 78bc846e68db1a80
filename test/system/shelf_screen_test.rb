require "application_system_test_case"

class ShelfScreenTest < ApplicationSystemTestCase
  setup { stock_two_part }

  test "products are found, changed in place, and a wrong figure is told beside its line" do
    visit "/shelf"
    assert_accessible
    fill_in "Find", with: "h12"
    assert_selector ".product-table tbody tr", count: 1
    fill_in "Find", with: ""
    select "top coat", from: "What for"
    select "reactive", from: "How it hardens"
    click_on "W20 clear satin"
    assert_selector "h1", text: "Skerrow W20 clear satin"
    assert_accessible
    fill_in "density", with: "9"
    click_on "Keep what was changed"
    assert_text 'Density: "9" is not understood'
    fill_in "density", with: "1,06"
    click_on "Keep what was changed"
    assert_selector ".product-figure[data-state='given']", text: "density"
    assert_button "Nothing changed", disabled: true
    assert_equal 1.06, Product.find_by(code: "w20").figures["density_g_per_ml"]
  end

  test "a can comes in, is boxed with another, and its jar has a label" do
    visit "/shelf?view=batches"
    click_on "Put on the shelf"
    select "Skerrow W20 clear satin", from: "Product"
    fill_in "How much is in it", with: "a lot"
    click_on "On the shelf"
    assert_text '"a lot" is no amount'
    fill_in "How much is in it", with: "2,5 l"
    fill_in "Lot", with: "L2"
    click_on "On the shelf"
    assert_text "2600 g"
    visit "/shelf?view=batches"
    assert_accessible
    click_on "Box lots"
    all(".shelf-board button", text: "Skerrow W20 clear satin").each(&:click)
    click_on "Pour together"
    assert_text "lot L1 + L2"
    assert_text "7600 g"
    fill_in "Fill off a touch-up jar", with: "100"
    click_on "Keep it"
    assert_text "touch-up, kept"
  end

  state "a file of products is reported row by row" do
    visit "/shelf"
    click_on "File in"
    file = Tempfile.new([ "products", ".csv" ]).tap do |made|
      made.write("maker,name,class\nOrrin,new one,shellac\nOrrin,odd,soup\n") && made.close
    end
    attach_file "File", file.path
    assert_text "1 new, 0 changed, 0 as they were, 1 refused"
    assert_text "of no class"
    click_on "Close"
    assert_text "new one"
    click_on "File in"
    attach_file "File", Tempfile.new([ "empty", ".csv" ]).path
    assert_text "The file is empty"
  end

  state "what runs out, sums and the handbook" do
    make_piece(steps: [ coat("s1", coats: 30) ])
    visit "/shelf?view=shopping"
    assert_text(/Buy \d × 1 L/)
    click_on "New", exact: true
    fill_in "Name", with: "Strainers"
    fill_in "by method", with: "spray"
    fill_in "Worn per coat", with: "1"
    click_on "Keep"
    assert_selector "td", text: "30 sheet"
    assert_accessible
    visit "/sums"
    assert_text "205 ml"
    fill_in "There is", with: "9 oz"
    assert_text "248 ml"
    fill_in "There is", with: "1,500 ml"
    assert_text "without the comma"
    fill_in "There is", with: "½ l"
    assert_text "411 ml"
    assert_accessible
    click_on "Two scales of grit"
    assert_text "46.2 µm mean grain"
    click_on "Why this is so"
    assert_selector "h2", text: "Grits with and without a P"
    assert_accessible
  end

  state "what goes over what, chosen in lists and on the square" do
    visit "/shelf"
    click_on "Over what?"
    select "Oil varnish", from: "What is there"
    select "Nitro lacquer", from: "What shall go on"
    assert_selector "h2", text: "Only with a seal between"
    assert_text "Seal with dewaxed shellac in between"
    click_on "hard"
    assert_selector "h2", text: "It holds once scuffed"
    check "It was scuffed since it hardened"
    assert_selector "h2", text: "It holds", exact_text: true
    click_on "wax"
    assert_text "Take the wax off"
    assert_accessible
    # The first cell of the square: water dye over water dye.
    square = find(".over-square [data-overlay]")
    square.click(x: -square.native.rect.width.to_i / 2 + 8, y: -square.native.rect.height.to_i / 2 + 8)
    assert_field "What is there", with: "water_dye"
    assert_field "What shall go on", with: "water_dye"
  end

  test "a data sheet is typed from top to bottom, and the class stands in where it is silent" do
    visit "/products/new"
    fill_in "Maker", with: "Marram"
    fill_in "Name", with: "pale bench shellac"
    select "Shellac", from: "Class"
    assert_selector "#figure-density_g_per_ml[placeholder='0.86']"
    fill_in "solids by volume", with: "18"
    find_field("solids by volume").send_keys(:enter)
    assert_equal "figure-density_g_per_ml", page.evaluate_script("document.activeElement.id")
    fill_in "recoat closes unsanded", with: "7 d"
    fill_in "packs and prices, row 1: holds", with: "500"
    fill_in "packs and prices, row 1: price", with: "12.50"
    click_on "packs and prices: one more row"
    fill_in "packs and prices, row 2: holds", with: "a tin"
    click_on "Keep what was changed"
    assert_selector ".error-text", text: "row 2: holds \"a tin\" is no number"
    click_on "packs and prices: take row 2 away"
    click_on "Keep what was changed"
    assert_selector "h1", text: "Marram pale bench shellac"
    kept = Product.find_by!(name: "pale bench shellac").figures
    assert_equal [ { "ml" => 500, "price" => 12.5 } ], kept["packs"]
    assert_equal [ 18, 10_080 ], [ kept["solids_volume_percent"], kept.dig("milestones_min", "recoat_closes") ]
    assert_text "min = 7 d"
    assert_accessible
    assert_quiet_console except: /422/
  end
end
