require "test_helper"

# Lists grow with the years: they are paged, found in by words, and ask as much of the database for three as for thirty.
class ListsTest < RequestTest
  setup do
    set_up_shop
    @piece = make_piece(steps: [ coat("s1") ])
  end

  test "what a page asks of the database does not grow with the shop" do
    pages = %W[
      /bench /pieces /pieces/#{@piece.id}/schedule /pieces/#{@piece.id}/schedule.json /pieces/plan /boards /mix /shelf
      /shelf?view=batches /shelf?view=shopping /products/w20 /shop /trials/new?piece=#{@piece.id}
    ]
    grow(2)
    few = asked(pages)
    grow(12)
    asked(pages).each { |page, count| assert_operator count, :<=, few.fetch(page), page }
  end

  test "boards come by pages, the newest first, and by words of name, wood or piece" do
    30.times { |at| board("Board #{at}", wood: at == 5 ? "pale ash" : "elm", made_on: Date.new(2026, 11, 1) + at) }
    get "/boards"
    assert_equal [ 1, 2, 30 ], props["page"].values_at("number", "last", "count")
    assert_equal [ "Board 29", 24 ], [ names.first, names.size ]
    get "/boards?page=2"
    assert_equal [ "Board 5", "Board 0" ], names.values_at(0, -1)
    get "/boards?page=99"
    assert_equal 2, props["page"]["number"]
    get "/boards?page=none"
    assert_equal 1, props["page"]["number"]
    get "/boards?words=ash"
    assert_equal [ "Board 5" ], names
    Board.find_by!(name: "Board 7").update!(piece: @piece)
    get "/boards", params: { words: "desk" }
    assert_equal [ "Board 7" ], names
    get "/boards", params: { words: "100%_" }
    assert_equal [ [], "100%_" ], [ names, props["words"] ]
  end

  test "a board in the list has its best cell and the colour of each, read or predicted" do
    made = board("Read", wood: "oak")
    Reading.record!(cell: made.cells.first, client_id: "r1", kind: "lab", value: [ 36, 20, 22 ],
                    taken_at: Time.current)
    get "/boards"
    cells = props["boards"].sole["cells"]
    assert_equal Rhexon::Colour::Lab.hex([ 36, 20, 22 ]), cells.first["hex"]
    assert_match(/\A#\h{6}\z/, cells.last["hex"])
  end

  test "closed jobs come by pages" do
    25.times { |at| Job.create!(client: "Client #{at}", closed_at: Time.utc(2026, 10, 1) + at.days) }
    get "/pieces"
    assert_equal [ 20, "Client 24" ], [ props["closed"].size, props["closed"].first["client"] ]
    assert_equal 25, props["page"]["count"]
    get "/pieces?closed=2"
    assert_equal [ 5, "Client 0" ], [ props["closed"].size, props["closed"].last["client"] ]
  end

  test "a product is named by schedules and boards that lay it, in whatever step, and by no others" do
    board("Waxed", layers: [ coat("s1", product: "waxy") ])
    board("Other", layers: [ coat("s1", product: "seal") ])
    assert_equal [ "Waxed" ], Product.named("waxy").named_in
    assert_equal [ "Desk top" ], Product.named("w20").named_in
    assert_empty Product.named("russet").named_in
    get "/products/waxy"
    assert_equal [ "Waxed" ], props["used"]
  end

  test "a product that a piece was found under is named by it, and stays" do
    refute_predicate Product.named("seal"), :in_record?
    @piece.faces.first.update!(found: { "is" => "coated", "product" => "seal", "coats" => 2 })
    assert_equal [ "Desk top" ], Product.named("seal").named_in
    assert_predicate Product.named("seal"), :in_record?
  end

  test "how likely the dates of compared schedules are comes behind the page" do
    other = "piece:#{make_piece(name: "Panel", steps: [ coat("s1", coats: 2) ]).id}"
    get "/pieces/compare/chances", params: { piece: @piece.id, with: [ other, "nothing" ] }
    assert_equal [ "head", other ], answer["chances"].map { |chance| chance["key"] }
    first = answer["chances"].first
    assert_operator first["dates"].first, :<=, first["dates"].last
    assert_in_delta 1, first["in_time"], 0.05
    Job.update_all(closed_at: Time.current)
    get "/pieces/compare/chances", headers: JSON_HEADERS
    assert_response :not_found
  end

  private

  def names = props["boards"].map { |board| board["name"] }

  def board(name, wood: "elm", made_on: Date.current, layers: [ coat("s1") ])
    Board.create!(name: name, wood: wood, grain: "open", width_mm: 400, height_mm: 300, made_on: made_on).tap do |made|
      2.times { |at| Cell.create!(board: made, label: (at + 1).to_s, position: at, layers: layers) }
    end
  end

  def grow(by)
    by.times do |at|
      cell = board("Grown #{Board.count}").cells.first
      Reading.record!(cell: cell, client_id: "g#{cell.id}", kind: "gloss", value: 30, taken_at: Time.current)
      make_piece(name: "Piece #{Piece.count}", steps: [ coat("s1"), coat("s2") ])
      Job.create!(client: "Closed #{Job.count}", closed_at: Time.current)
      can = Batch.create!(product: Product.named("w20"), name: "W20", state: "opened", opened_on: Date.current - at)
      StockMove.create!(batch: can, grams: 500, reason: "received", client_id: "m#{can.id}", created_at: Time.current)
    end
  end

  # @return [Hash{String=>Integer}] queries by page, once all that is kept has been read
  def asked(pages)
    pages.to_h do |page|
      get page
      assert_response :success, page
      count = 0
      counted = ->(*, sql) { count += 1 unless sql[:cached] || sql[:name] == "SCHEMA" }
      ActiveSupport::Notifications.subscribed(counted, "sql.active_record") { get page }
      [ page, count ]
    end
  end
end
