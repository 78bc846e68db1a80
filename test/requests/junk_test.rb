require "test_helper"

# Whatever is sent, the answer is a sentence with a 4xx status, and nothing is kept.
class JunkTest < RequestTest
  JUNK = [ nil, 7, -1, "x", "", [], [ 1 ], {}, { "a" => 1 }, true, "2026-13-45", "🙂" * 50, 1e308 ].freeze

  setup do
    set_up_shop
    @piece = make_piece(steps: [ coat("s1", coats: 2) ])
    @board = Board.create!(name: "B", wood: "elm", grain: "open", width_mm: 400, height_mm: 300, made_on: Date.new(2026, 11, 1))
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
      [ { "op" => junk }, { "op" => "add_step", "after" => junk, "step" => junk }, { "op" => "remove_step", "id" => junk }, { "op" => "move_step", "id" => "s1", "after" => junk.nil? ? "zz" : junk },
        { "op" => "change_step", "id" => "s1", "set" => junk.is_a?(Hash) && junk.empty? ? 1 : junk }, { "op" => "change_step", "id" => "s1", "set" => { "wet_um" => junk } }, { "op" => "change_step", "id" => "s1", "set" => { "pins" => junk.nil? ? 1 : junk == [] ? 1 : junk } },
        { "op" => "split_coats", "id" => "s1", "keep" => junk == 1 ? 5 : junk }, { "op" => "pin", "id" => "s1", "coat" => junk, "start" => "soon" }, { "op" => "all", "operations" => junk == [] ? 1 : junk }, { "op" => "house", "set" => junk == {} ? 1 : junk } ]
    end
    operations = operations.reject { |operation| operation == { "op" => "change_step", "id" => "s1", "set" => { "wet_um" => 7 } } }
    operations.each do |operation|
      assert_refused("/pieces/#{@piece.id}/schedule/what_if", { operation: operation })
      assert_refused("/pieces/#{@piece.id}/schedule/edits", { operation: operation, base: @piece.schedule.reload.head.number })
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
end
