require "test_helper"

# One piece with its schedule, or one board with all that was read on it, as a file: out, and in again with nothing
# lost.
class SingleFilesTest < RequestTest
  setup do
    set_up_shop
    stock_two_part
    steps = [ coat("s0", product: "russet", kind: "stain", method: "wipe").except("role", "wet_um", "coats"),
              coat("s1", coats: 3, pins: [ { "coat" => 1, "start" => "2026-11-25T08:00+01:00" } ]) ]
    @piece = make_piece(name: "Desk top", count: 6, steps: steps)
    @trial = Trial.create!(name: "Coats", piece: @piece, base: [ coat("s1") ], target_lab: [ 40, 10, 20 ],
                           factors: [ { "name" => "coats", "step" => "s1", "field" => "coats", "levels" => [ 1, 2 ] } ])
    @board = @trial.boards.create!(name: "Elm 3", wood: "elm", grain: "open", width_mm: 400, height_mm: 300,
                                   piece: @piece, made_on: Date.new(2026, 11, 1), timber_lot: "L3")
    @board.cells.create!(label: "1", position: 0, role: "run", run: [ 0 ], layers: [ coat("s1") ])
    @board.cells.create!(label: "2", position: 1, role: "run", run: [ 1 ], ruined: "dust",
                         layers: [ coat("s1", coats: 2) ])
    Reading.record!(cell: @board.cells.first, client_id: "r1", kind: "lab", value: [ 40.5, 9.1, 20.2 ], light: "D65",
                    observer: "Imke", taken_at: 2.days.ago)
    Reading.record!(cell: @board.cells.first, client_id: "r2", kind: "gloss", value: 28, taken_at: 1.day.ago)
  end

  def named(file, code) = file["products"].find { |one| one["id"] == code }

  def written(path)
    get path
    assert_equal [ 200, "application/json" ], [ response.status, response.media_type ]
    response.body
  end

  def take_in(path, text, **fields)
    file = Rack::Test::UploadedFile.new(StringIO.new(text), "application/json", original_filename: "f.json")
    post path, params: { file: file, **fields }, headers: { "ACCEPT" => "application/json" }
    answer
  end

  test "a piece comes in again with its schedule, as it went out" do
    text = written("/pieces/#{@piece.id}/schedule/file")
    took = take_in("/pieces/file", text)
    assert_equal 200, response.status, response.body
    taken = Piece.order(:id).last
    assert_equal "/pieces/#{taken.id}/schedule", took["location"]
    assert_equal JSON.parse(text), JSON.parse(JSON.generate(Piece::AsFile.write(taken)))
    assert_equal [ 6, "From a file", "Taken in from a file" ],
                 [ taken.count, taken.job.client, taken.schedule.head.reason ]
    get took["location"]
    assert_equal 200, response.status
  end

  test "products that another shop does not have come with it, and those that they name" do
    text = written("/pieces/#{@piece.id}/schedule/file")
    assert_equal %w[h12 russet w20 water], JSON.parse(text)["products"].map { |one| one["id"] }.sort
    strange = JSON.parse(text)
    named(strange, "russet").merge!("maker" => "Far", "name" => "Far russet")
    text = JSON.generate(strange).gsub('"russet"', '"far-dye"')
    took = take_in("/pieces/file", text)
    assert_equal [ "Far russet is new on the shelf" ], took["told"]
    assert_equal "far-dye", Piece.order(:id).last.schedule.steps.first["product"]
    assert_equal "water_dye", Product.find_by!(code: "far-dye").kind
  end

  test "a code that means another product here is given another one" do
    strange = JSON.parse(written("/pieces/#{@piece.id}/schedule/file"))
    lacquer = named(strange, "w20").merge!("maker" => "Far", "name" => "Far lacquer", "class" => "nitro_lacquer")
    %w[mix thinner].each { |key| lacquer.delete(key) }
    take_in("/pieces/file", JSON.generate(strange))
    assert_equal 200, response.status, response.body
    code = Piece.order(:id).last.schedule.steps.last["product"]
    assert_not_equal "w20", code
    assert_equal [ "Far", "nitro_lacquer" ], Product.find_by!(code: code).then { |one| [ one.maker, one.kind ] }
  end

  # In a file of another shop the same code is another maker's product of the same kind.
  test "a code of another shop stands for nothing here, and what stands for a product is shown and chosen" do
    text = File.read(Rails.root.join("test/support/piece_of_another_shop.json"))
    Product.create!(code: "wb", maker: "Skerrow", name: "hard semi", kind: "waterborne_one_part", role: "top coat")
    before = [ Piece.count, Product.count ]
    matches = take_in("/pieces/file", text, look: "yes")["matches"]
    assert_equal [ [ "wb", "House WB clear", nil, [ [ "wb", "Skerrow hard semi" ] ] ] ],
                 matches.map { |one| one.values_at("id", "name", "here", "options") }
    assert_equal before, [ Piece.count, Product.count ]
    take_in("/pieces/file", text)
    assert_equal "WB clear", Product.find_by!(code: Piece.last.schedule.steps.last["product"]).name
    Product.find_by!(code: "wb").update!(figures: { "sheen_gu" => 40 })
    take_in("/pieces/file", text.sub('"name": "c"', '"name": "d"'), matches: { wb: "wb" }.to_json)
    assert_equal "wb", Piece.last.schedule.steps.last["product"]
    take_in("/pieces/file", text.sub('"name": "c"', '"name": "e"'), matches: { wb: "seal" }.to_json)
    assert_match(/seal does not stand for WB clear/, sentence)
    assert_nil Piece.find_by(name: "e")
  end

  test "a room and a tool that are not here are left out, and told" do
    strange = JSON.parse(written("/pieces/#{@piece.id}/schedule/file"))
    strange["schedule"]["room"] = "far booth"
    strange["schedule"]["steps"].last.merge!("room" => "far booth", "tool" => "far gun")
    took = take_in("/pieces/file", JSON.generate(strange))
    assert_equal [ "There is no far booth here: it is done where it usually is",
                   "There is no far gun here: it is done where it usually is" ], took["told"]
    assert_equal "bench", Piece.order(:id).last.schedule.document["room"]
  end

  test "a board comes in again with its cells, its trial and all that was read" do
    text = written("/boards/#{@board.id}/file")
    [ [ @board, "Elm 3, there" ], [ @trial, "Coats, there" ] ].each { |record, name| record.update_columns(name: name) }
    took = take_in("/boards/file", text)
    assert_equal 200, response.status, response.body
    taken = Board.order(:id).last
    assert_equal "/boards/#{taken.id}", took["location"]
    assert_equal JSON.parse(text), JSON.parse(JSON.generate(Board::AsFile.write(taken)))
    take_in("/boards/file", text)
    assert_match(/taken in before/, sentence)
    get "/boards/#{taken.id}"
    assert_equal 200, response.status
  end

  test "what is none, newer, damaged, huge or odd is refused in words, and nothing is kept" do
    piece = JSON.parse(written("/pieces/#{@piece.id}/schedule/file"))
    board = JSON.parse(written("/boards/#{@board.id}/file")).tap { |json| json["board"]["name"] = "Other" }
    read = ->(reading) { board.merge("cells" => [ { "label" => "1", "layers" => [], "readings" => [ reading ] } ]) }
    odd = {
      "/pieces/file" => [ piece.merge("format" => "rhexon-piece/2"), piece.merge("schedule" => 7), [], 7,
                          piece.deep_merge("piece" => { "faces" => [] }), piece.except("products"),
                          piece.deep_merge("piece" => { "count" => -1 }), piece.merge("products" => [ { "id" => 7 } ]),
                          piece.deep_merge("schedule" => { "steps" => [ { "id" => "s1" } ] }),
                          piece.deep_merge("piece" => { "wood" => "x" * 300 }) ],
      "/boards/file" => [ board.merge("format" => "rhexon-board/9"), board.merge("cells" => []), "x", nil,
                          board.deep_merge("board" => { "width_mm" => 1 }),
                          board.deep_merge("board" => { "made_on" => "soon" }),
                          board.merge("cells" => [ { "label" => "1", "layers" => [ { "kind" => "x" } ] } ]),
                          read.({ "kind" => "gloss", "value" => "x", "taken_at" => "2026-11-20T08:00:00Z" }),
                          read.({ "kind" => "gloss", "value" => 30, "taken_at" => "9999-11-20T08:00:00Z" }) ]
    }
    before = [ Piece.count, Product.count, Board.count, Cell.count, Trial.count, Reading.count ]
    odd.each do |path, files|
      [ *files.map { |json| JSON.generate(json) }, "", "{", "\xFF\xFE".b, "[" * 300, "x" * 6.megabytes ].each do |text|
        take_in(path, text)
        assert_equal 422, response.status, "#{path} #{text.first(200)}: #{response.body.first(200)}"
        assert_predicate sentence, :present?
      end
    end
    assert_equal before, [ Piece.count, Product.count, Board.count, Cell.count, Trial.count, Reading.count ]
  end
end
