require "test_helper"
require_relative "../support/paper"

# All that a shop prints, on A4 and on Letter, rendered and looked at.
class PaperTest < RequestTest
  include Paper

  setup do
    set_up_shop
    stock_two_part
    steps = [ coat("s0", product: "seal", method: "wipe", wet_um: 15, role: "seal"), coat("s1", coats: 3) ]
    @piece = make_piece(name: "Łódź desk top with a name that is rather long for a sheet", count: 6, steps: steps)
    @cell = Board.create!(name: "Board ΔE 2", wood: "elm", grain: "open", width_mm: 400, height_mm: 300, piece: @piece,
                          made_on: Date.new(2026, 11, 1)).cells.create!(label: "1", position: 0, layers: [ coat("s1") ])
    @mix = Mix::Start.for_pass!("#{@piece.core_id}/s1/1/top")
  end

  def sheets
    of = "/pieces/#{@piece.id}"
    { "schedule" => "#{of}/schedule/sheet", "day" => "/bench/day/sheet",
      "one person's day" => "/bench/day/sheet?person=Imke", "pour" => "/mix/#{@mix.id}/sheet",
      "handover" => "#{of}/handover.pdf", "named handover" => "#{of}/handover.pdf?names=yes",
      "care" => "#{of}/handover.pdf?only=care", "job's handover" => "/jobs/#{@piece.job_id}/handover.pdf",
      "quote" => "#{of}/quote.pdf", "approval" => "/boards/#{@cell.board_id}/cells/#{@cell.id}/approval" }
  end

  test "each sheet stays inside its page, A4 and Letter, black on white" do
    papers = { nil => :a4, "a4" => :a4, "letter" => :letter, "folio" => :a4 }
    TestShare.of(name, sheets.to_a.product(papers.to_a), most_parts: 5).each do |(sheet, path), (asked, paper)|
      mark = path.include?("?") ? "&" : "?"
      get [ path, ("#{mark}paper=#{asked}" if asked) ].join
      assert_equal [ 200, "application/pdf" ], [ response.status, response.media_type ], sheet
      assert_printed response.body, paper: paper, coloured: sheet == "approval"
    end
  end

  test "a shop of inches prints on Letter" do
    Shop.current.update!(units: "us")
    get sheets["schedule"]
    assert_printed response.body, paper: :letter
  end

  test "a long schedule goes over pages, each with its number, and nothing is cut" do
    steps = (1..40).map { |number| coat("s#{number}", coats: 1, product: "seal", method: "wipe", wet_um: 12) }
    long = make_piece(name: "Long", steps: steps)
    get "/pieces/#{long.id}/schedule/sheet"
    found = pages(response.body)
    assert_operator found.size, :>, 1
    assert_printed response.body
    right = found.map { |page| page.crop(page.width - 140, page.height - 55, 100, 35).colourspace(:b_w).min }
    assert_operator right.max, :<, 120, "a page without its number"
  end

  test "the board is printed at its own size, and its order of work on the shop's paper" do
    get "/boards/#{@cell.board_id}/sheet?paper=letter"
    first, second = pages(response.body)
    assert_equal [ ((400 + 32) / 25.4 * 72).round, ((300 + 32) / 25.4 * 72).round ], [ first.width, first.height ]
    assert_equal Paper::POINTS[:letter], [ second.width, second.height ]
  end

  test "a piece without steps has sheets that say so" do
    bare = make_piece(name: "Bare", steps: [])
    [ "/pieces/#{bare.id}/schedule/sheet", "/pieces/#{bare.id}/handover.pdf" ].each do |path|
      get path
      assert_equal 200, response.status, path
      assert_equal 1, pages(response.body).size
    end
  end
end
