require "application_system_test_case"

# How a price comes about, and the shop's terms set in its lines.
class QuoteScreenTest < ApplicationSystemTestCase
  test "terms are set in the lines they make, by hand and keyboard, and what cannot be is told there" do
    piece = make_piece(steps: [ { "id" => "s1", "kind" => "sand", "grits" => %w[P150 P180] } ])
    visit "/pieces/#{piece.id}/schedule"
    click_on "More"
    find("[role=menuitem]", text: "Quote").click
    assert_text "How the price comes about"
    assert_text "Price"
    fill_in "An hour, EUR/h", with: "60\n"
    minutes = Rhexon::Compare::Quote.new(ShopFloor.new.plan, piece.core_id, {}).phases.sum(&:min)
    within("tr[data-line=labour]") { assert_text format("%.2f", minutes) }
    click_on "Tax: more"
    within("tr[data-line=gross]") { assert_no_text "0.00" }
    assert_equal({ "rate_per_h" => 60, "tax_percent" => 1 }, Shop.current.terms)
    fill_in "Tax, %", with: "70\n"
    within("tr[data-line=tax]") { assert_text "cannot be 70" }
    assert_accessible
    click_on "Keep it as given"
    assert_text "Reckoned now it comes to the same."
    click_on "An hour: more"
    assert_text(/Reckoned now it comes to [\d.]+ EUR more/)
  end
end
