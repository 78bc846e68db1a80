require "test_helper"
require_relative "../support/pictures"

# Whatever is sent, the answer is a sentence with a 4xx status, and nothing is kept.
class JunkTest < RequestTest
  include Pictures

  JUNK = [ nil, 7, -1, "x", "", [], [ 1 ], {}, { "a" => 1 }, true, "2026-13-45", "🙂" * 50, 1e308 ].freeze

  setup do
    set_up_shop
    @piece = make_piece(steps: [ coat("s1", coats: 2) ])
    @board = Board.create!(name: "B", wood: "elm", grain: "open", width_mm: 400, height_mm: 300,
                           made_on: Date.new(2026, 11, 1))
    @cell = @board.cells.create!(label: "1", position: 0, layers: [])
  end

  def assert_refused(path, body)
    send_json(path, body)
    assert_includes 400..499, response.status, "#{path} #{body.inspect}"
    assert_predicate sentence, :present?, "#{path} #{body.inspect}: #{response.body[0, 200]}"
  end

  def kept = [ Revision.count, Entry.count, Reading.count, Schedule.pluck(:head_id), Cell.pluck(:layers, :ruined) ]

  test "edits" do
    before = kept
    operations = JUNK + JUNK.flat_map do |junk|
      [ { "op" => junk }, { "op" => "add_step", "after" => junk, "step" => junk },
        { "op" => "remove_step", "id" => junk },
        { "op" => "move_step", "id" => "s1", "after" => junk.nil? ? "zz" : junk },
        {
          "op" => "change_step", "id" => "s1", "set" => junk.is_a?(Hash) && junk.empty? ? 1 : junk
        }, {
          "op" => "change_step", "id" => "s1", "set" => { "wet_um" => junk }
        }, { "op" => "change_step", "id" => "s1", "set" => { "pins" => if junk.nil?
                                                                         1
                                                                       else
                                                                         junk == [] ? 1 : junk
                                                                       end } },
        {
          "op" => "split_coats", "id" => "s1", "keep" => junk == 1 ? 5 : junk
        }, {
          "op" => "pin", "id" => "s1", "coat" => junk, "start" => "soon"
        }, {
          "op" => "all", "operations" => junk == [] ? 1 : junk
        }, { "op" => "house", "set" => junk == {} ? 1 : junk } ]
    end
    operations = operations.reject do |operation|
      operation == { "op" => "change_step", "id" => "s1", "set" => { "wet_um" => 7 } }
    end
    operations.each do |operation|
      assert_refused("/pieces/#{@piece.id}/schedule/what_if", { operation: operation })
      assert_refused("/pieces/#{@piece.id}/schedule/edits",
                     { operation: operation, base: @piece.schedule.reload.head.number })
    end
    assert_equal before, kept
  end

  test "entries" do
    before = kept
    JUNK.each do |junk|
      good = { client_id: "c", kind: "started", happened_at: MONDAY.iso8601, pass: "#{@piece.core_id}/s1/1/top" }
      assert_refused("/entries", good.merge(kind: junk))
      assert_refused("/entries", good.merge(happened_at: junk))
      assert_refused("/entries", good.merge(pass: junk))
      assert_refused("/entries", good.merge(kind: "correction", corrects: junk))
    end
    assert_refused("/entries", {})
    assert_equal before, kept
  end

  test "readings, layers and promotion" do
    before = kept
    base = "/boards/#{@board.id}/cells/#{@cell.id}"
    JUNK.each do |junk|
      assert_refused("#{base}/readings", { client_id: "c", kind: junk, value: 3, taken_at: MONDAY.iso8601 })
      assert_refused("#{base}/readings", { client_id: "c", kind: "lab", value: junk, taken_at: MONDAY.iso8601 })
      assert_refused("#{base}/promotion", { piece_id: junk })
      next if junk == []

      patch base, params: { layers: junk }.to_json, headers: JSON_HEADERS
      assert_includes 400..499, response.status, junk.inspect
    end
    assert_equal before, kept
  end

  test "quick entry, verdicts, approvals, photos, boards at the bench, jobs and house rules" do
    @board.update!(piece: @piece)
    photo = Photo.take!(StringIO.new(picture), client_id: "p", cell: @cell)
    before = [ *kept, Photo.count, Piece.count, Job.pluck(:client, :due_at), Shop.current.house ]
    base = "/boards/#{@board.id}"
    JUNK.each do |junk|
      assert_refused("#{base}/quick", { client_id: "q", readings: junk })
      assert_refused("#{base}/quick", { client_id: "q", readings: [ { cell: junk, kind: "gloss", value: 3 } ] })
      assert_refused("#{base}/quick",
                     { client_id: "q", readings: [ { cell: @cell.id, kind: "gloss", value: junk == 7 ? -7 : junk } ] })
      assert_refused("#{base}/verdict", { client_id: "v", cell: junk.nil? ? 0 : junk, reason: "x" })
      assert_refused("#{base}/cells/#{@cell.id}/approval", { client_id: junk, name: "" })
      unless [ "x", "2026-13-45", "🙂" * 50 ].include?(junk)
        assert_refused("#{base}/cells/#{@cell.id}/approval", { client_id: junk, name: "The client" })
      end
      assert_refused("#{base}/cells/#{@cell.id}/photo_colour",
                     { client_id: "f", photo: junk, patch: [ 0, 0, 0.5, 0.5 ], grey: [ 0, 0, 0.5, 0.5 ] })
      assert_refused("/photos/#{photo.id}/colour", { patch: junk, grey: [ 0, 0, 0.5, 0.5 ] })
      assert_refused("/photos/#{photo.id}/colour", { patch: [ 0.5, 0.5, 0.4, 0.4 ], grey: [ junk, 0, 0.5, 0.5 ] })
      assert_refused("/shop/house", { rule: junk, value: junk })
      patch "/jobs/#{@piece.job_id}", params: { client: "", due_on: junk }.to_json, headers: JSON_HEADERS
      assert_includes 400..499, response.status, junk.inspect
    end
    assert_refused("#{base}/making", {})
    assert_equal before, [ *kept, Photo.count, Piece.count, Job.pluck(:client, :due_at), Shop.current.house ]
  end

  test "mixes, batches, products, consumables, sums and the scale" do
    stock_two_part
    mix = Mix::Start.alone!({ "product" => "w20", "want" => { "amount" => "500 ml" } })
    can = Batch.first
    before = [
      Mix.count, Entry.count, Batch.pluck(:state, :discarded_at), StockMove.count, Product.pluck(:figures),
      Consumable.count
    ]
    JUNK.each do |junk|
      now = { client_id: "c", happened_at: MONDAY.iso8601 }
      assert_refused("/mix", { product: "w20", want: junk }) unless junk == {}
      assert_refused("/mix", { product: "w20", want: { amount: junk == 7 || junk == 1e308 ? "x" : junk } })
      assert_refused("/mix", { components: junk, want: { amount: "1 l" } })
      assert_refused("/mix", { product: "w20", want: { amount: "1 l" }, thinning: junk.nil? ? 1 : junk })
      assert_refused("/mix/preview",
                     { pass: junk, components: [ { name: junk, parts: junk } ], want: { amount: "1 l" } })
      assert_refused("/mix/#{mix.id}/pours", { **now, name: junk, g: 5 })
      assert_refused("/mix/#{mix.id}/pours", { **now, name: "Skerrow W20 clear satin", g: junk == 7 ? -7 : junk })
      assert_refused("/mix/#{mix.id}/take_back", { **now, entry: junk })
      assert_refused("/mix/#{mix.id}/way", { **now, kind: junk })
      assert_refused("/mix/#{mix.id}/finish", now)
      assert_refused("/batches", { product: can.product_id, amount: junk })
      assert_refused("/batches", { product: if junk == 1
                                              99
                                            else
                                              junk == true ? 99 : junk
                                            end, amount: "x" })
      assert_refused("/batches/box", { batches: junk, client_id: "c" })
      assert_refused("/products", { maker: "M", name: junk.to_s, kind: junk })
      assert_refused(
        "/products",
        {
          maker: "M", name: "N", kind: "shellac", role: "oil", colour: "clear",
          figures: { density_g_per_ml: if junk.nil? || junk == ""
                                         "x"
                                       else
                                         junk == 1e308 || junk == 7 ? -1 : junk
                                       end }
        }
      )
      assert_refused("/consumables",
                     { name: "N", unit: "m", pack: junk == 7 || junk == 1e308 || junk == true ? 0 : junk, left: 1 })
      assert_refused(
        "/consumables",
        { name: "N", unit: "m", pack: 1, left: 1, wear: junk == {} || junk == { "a" => 1 } || junk.nil? ? 1 : junk }
      )
      assert_refused("/sums", { question: junk, fields: junk })
      unless junk == 7
        assert_refused("/sums", { question: "thin_cut", fields: { stock: junk, amount: "1 l", to: "1 lb" } })
      end
      assert_refused("/scale/hand", { act: junk })
    end
    assert_equal before,
                 [
                   Mix.count, Entry.count, Batch.pluck(:state, :discarded_at), StockMove.count, Product.pluck(:figures),
                   Consumable.count
                 ]
  end
end
