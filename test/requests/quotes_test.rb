require "test_helper"

class QuotesTest < RequestTest
  setup do
    set_up_shop
    sanded = { "id" => "s1", "kind" => "sand", "grits" => %w[P150] }
    @piece = make_piece(count: 2, steps: [ sanded, coat("s2", coats: 3) ])
    @url = "/pieces/#{@piece.id}/quote"
  end

  def set_terms(**terms) = send_json(@url, { terms: terms })

  test "hours times the rate, then waste, margin and tax by the shop's terms" do
    set_terms(rate_per_h: 60, margin_percent: 20, tax_percent: 25)
    assert_response :ok
    min = answer["phases"].sum { |phase| phase["min"] }
    sums = answer["sums"]
    assert_in_delta min, sums["labour"], 0.01
    cost = sums.values_at("labour", "material", "waste", "worn").sum
    assert_in_delta cost * 1.2 * 1.25, sums["gross"], 0.05
    get @url
    assert_equal({ "rate_per_h" => 60, "waste_percent" => 0, "margin_percent" => 20, "tax_percent" => 25 },
                 props["terms"])
  end

  test "a term that cannot be is refused in words, and the others stay" do
    set_terms(rate_per_h: 60)
    { rate_per_h: -1, waste_percent: "much", tax_percent: 51, luck: 1 }.each do |name, value|
      set_terms(name => value)
      assert_response :unprocessable_entity
      assert_match(/cannot be/, answer["error"]["sentence"])
    end
    assert_equal({ "rate_per_h" => 60 }, Shop.current.terms)
  end

  test "the sheet for the client says what is done and the price, and nothing of rate and margin" do
    set_terms(rate_per_h: 60, margin_percent: 20, tax_percent: 25)
    gross = format("%.2f", answer["sums"]["gross"])
    get "#{@url}.pdf"
    assert_equal "application/pdf", response.media_type
    assert response.body.start_with?("%PDF")
    sheet = Piece::QuoteSheet.new(@piece, QuoteState.new(@piece))
    assert_equal [ "Sand P150", "Top coat, Skerrow W20 clear satin, 3 coats" ], sheet.steps
    lines = sheet.lines.to_h
    assert_equal [ "Finishing", "Tax, 25 %", "Price", "of it each of 2" ], lines.keys
    assert_equal "#{gross} EUR", lines["Price"]
  end

  test "what cannot be planned to its end has no price for a client" do
    set_terms(rate_per_h: 60)
    assert answer["whole"]
    send_json("/shop/hours", { week: {}, days: [] })
    assert_response :ok
    get @url
    assert_includes props, "whole"
    assert_not props["whole"]
    get "#{@url}.pdf"
    assert_response :unprocessable_entity
    assert_match(/no price for all of Desk top/, props["error"]["sentence"])
  end

  test "nothing to reckon yet, and a piece that is not in hand any more" do
    bare = make_piece(name: "Bare board")
    get "/pieces/#{bare.id}/quote"
    assert_empty props["phases"]
    assert_equal 0, props["sums"]["gross"]
    get "/pieces/#{bare.id}/quote.pdf"
    assert_response :unprocessable_entity
    @piece.job.update!(closed: true)
    get @url
    assert_response :unprocessable_entity
    assert_match(/job of .* is closed/, props["error"]["sentence"])
  end
end
