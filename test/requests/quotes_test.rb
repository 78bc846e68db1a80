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
    figures = QuoteState.new(@piece).figures
    sheet = Piece::QuoteSheet.new(@piece, figures)
    assert_equal [ "Sand P150", "Top coat, Skerrow W20 clear satin, 3 coats" ], figures["steps"]
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

  test "nothing to reckon yet" do
    bare = make_piece(name: "Bare board")
    get "/pieces/#{bare.id}/quote"
    assert_empty props["phases"]
    assert_equal 0, props["sums"]["gross"]
    get "/pieces/#{bare.id}/quote.pdf"
    assert_response :unprocessable_entity
  end

  test "what was given stays as it was, whatever changes, and stands beside what is reckoned now" do
    set_terms(rate_per_h: 60)
    before = answer["sums"]["gross"]
    send_json("#{@url}/given", {})
    assert_response :ok
    set_terms(rate_per_h: 90)
    get @url
    given = props["given"].sole
    assert_equal before, given["gross"]
    assert_operator props["sums"]["gross"], :>, before
    assert_equal props["phases"].to_h { |phase| phase.values_at("phase", "min") }, given["phases"]
    get "#{@url}.pdf?given=#{given["id"]}"
    assert response.body.start_with?("%PDF")
    sheet = Piece::QuoteSheet.new(@piece, GivenQuote.find(given["id"]).figures)
    assert_equal "#{format("%.2f", before)} EUR", sheet.lines.to_h["Price"]
    get "#{@url}.pdf?given=999"
    assert_response :not_found
  end

  test "a piece whose job is closed shows what it came to, and is quoted no more" do
    set_terms(rate_per_h: 60)
    log(@piece, "s1/1/top", "started", 3.days.ago)
    log(@piece, "s1/1/top", "done", 3.days.ago + 20.minutes)
    @piece.job.update!(closed_at: Time.current)
    get @url
    assert_response :ok
    assert props["closed"]
    assert_in_delta 20, props["phases"].first["real_min"], 0.01
    send_json("#{@url}/given", {})
    assert_response :unprocessable_entity
    assert_match(/closed/, sentence)
  end
end
