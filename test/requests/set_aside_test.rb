require "test_helper"

# One bad piece never stops the others: it is set aside with its reason, and history and undo work without a plan.
class SetAsideTest < RequestTest
  PAGES = %w[
    /bench /pieces /pieces/plan /pieces/plan/goals /pieces/plan/chance /pieces/new /pieces/area /boards /boards/new
    /boards/colour /trials/new /mix /shelf /shelf?view=batches /shelf?view=shopping /shop /sums /handbook
    /shop/calendar.ics /products/export.csv
  ].freeze
  ODD = [ { "format" => "rhexon-schedule/1", "steps" => 5 }, { "format" => "rhexon-schedule/1" }, [], "x",
          { "format" => "rhexon-schedule/9", "steps" => [] }, { "format" => "rhexon-schedule/1", "steps" => [ nil ] },
          { "format" => "rhexon-schedule/1", "steps" => [ { "id" => "s1", "kind" => "coat" } ] } ].freeze

  setup do
    set_up_shop
    @sound = make_piece(name: "Desk top", steps: [ coat("s1", coats: 2) ])
    @bad = make_piece(name: "Stool", steps: [ coat("s1") ])
    Board
      .create!(name: "B", wood: "elm", grain: "open", width_mm: 400, height_mm: 300, made_on: Date.new(2026, 11, 1),
               piece: @bad)
      .cells
      .create!(label: "1", position: 0, layers: [])
  end

  def walk
    pages = PAGES +
      [
        "/pieces/#{@sound.id}/schedule", "/pieces/#{@bad.id}/schedule", "/pieces/#{@bad.id}/edit",
        "/pieces/compare?piece=#{@sound.id}", "/boards/#{Board.first.id}"
      ]
    pages.each do |path|
      get path
      assert_includes [ 200, 302 ], response.status, "#{path}: #{response.body[0, 300]}"
    end
  end

  test "every page goes on without a piece that cannot be computed" do
    poison(@bad)
    walk
    get "/pieces"
    told = props["jobs"].flat_map { |job| job["pieces"] }.to_h { |piece| [ piece["name"], piece["aside"] ] }
    assert_nil told["Desk top"]
    assert_match(/Stain cannot use Thornlet pale paste wax/, told["Stool"])
    get "/bench"
    assert_equal [ "Stool" ], props["aside"].map { |aside| aside["name"] }
    assert_equal [ @sound.core_id ], props["bench"]["upcoming"].map { |row| row["piece"] }.uniq
  end

  test "whatever stands in a document by hand" do
    ODD.each do |document|
      poison(@bad, document)
      walk
      assert_equal [ @bad ], ShopFloor.new.aside.map(&:piece), document.inspect
      @bad.schedule.reload.update!(head: @bad.schedule.head.parent)
      ShopFloor.faulty = nil
    end
  end

  test "its page says why; history and undo need no plan" do
    poison(@bad)
    get "/pieces/#{@bad.id}/schedule"
    assert_match(/"component":"SetAside"/, response.body)
    assert_match(/cannot use Thornlet pale paste wax/, props["aside"]["reason"])
    get "/pieces/#{@bad.id}/schedule/history"
    assert_equal "By hand", answer["revisions"].first["reason"]
    send_json("/pieces/#{@bad.id}/schedule/undo", {})
    assert_equal 200, response.status, response.body
    assert_empty ShopFloor.new.aside
    get "/pieces/#{@bad.id}/schedule"
    assert_match(/"component":"Schedule"/, response.body)
    send_json("/pieces/#{@bad.id}/schedule/redo", {})
    assert_equal 422, response.status
    assert_empty ShopFloor.new.aside
  end

  test "two bad steps one over the other are undone one after the other" do
    poison(@bad)
    poison(@bad, ODD.first)
    2.times do |time|
      send_json("/pieces/#{@bad.id}/schedule/undo", {})
      assert_equal [ 200, time.zero? ], [ response.status, answer.key?("aside") ], response.body
    end
    assert_empty ShopFloor.new.aside
  end

  test "the others can be edited, logged and changed meanwhile" do
    poison(@bad)
    edit(@sound, { "op" => "change_step", "id" => "s1", "set" => { "coats" => 3 } })
    assert_equal 200, response.status, response.body
    send_json(
      "/entries",
      { client_id: "c", kind: "started", pass: "#{@sound.core_id}/s1/1/top", happened_at: Time.current.iso8601 }
    )
    assert_equal 200, response.status, response.body
    send_json("/shop/room", { name: "loft", t_c: 18, rh: 55, air: "ordinary", uses: [] })
    assert_equal 200, response.status, response.body
  end

  test "a defect in drawing one piece leaves the others drawn" do
    real = Rhexon::Picture::Section.instance_method(:layers)
    bad = @bad.core_id
    Rhexon::Picture::Section.define_method(:layers) do
      if @piece_id == bad ||
          instance_variable_get(:@walk).snapshots.any? { |snapshot| snapshot.placement.pass.piece.id == bad }
        raise(ZeroDivisionError, "divided by 0")
      else
        real.bind_call(self)
      end
    end
    get "/pieces/#{@sound.id}/schedule"
    assert_match(/"component":"Schedule"/, response.body)
    get "/pieces/#{@bad.id}/schedule"
    assert_match(/"component":"SetAside"/, response.body)
    assert_match(/error [A-Z0-9]{6}/, props["aside"]["reason"])
  ensure
    Rhexon::Picture::Section.define_method(:layers, real)
  end

  test "records that older versions kept and this one would not: each page goes on" do
    Product.create!(code: "odd", maker: "Skerrow", name: "odd one", kind: "shellac", role: "oil")
      .update_columns(kind: "no_such_class")
    Product.find_by!(code: "waxy").update_columns(figures: { "milestones_min" => { "touch" => "soon" }, "wet_um" => 7 })
    cell = Cell.first
    [
      [ coat("s1", product: "gone") ], [ coat("s1", product: "odd") ], [ coat("s1", product: "russet") ]
    ].each do |layers|
      cell.update_columns(layers: layers, updated_at: Time.current)
      walk
    end
    Entry.connection
      .execute("INSERT INTO entries (client_id, kind, piece_id, pass_key, happened_at, recorded_at) VALUES ('odd', " \
               "'done', #{@bad.id}, 'p#{@bad.id}/s1', '2026-11-20 08:00:00', '2026-11-20 08:00:00')")
    Entry.connection
      .execute("INSERT INTO entries (client_id, kind, piece_id, pass_key, happened_at, recorded_at) VALUES ('odd2', " \
               "'done', #{@bad.id}, 'nonsense', '2026-11-20 08:00:00', '2026-11-20 08:00:00')")
    walk
    get "/shelf"
    assert_equal [ "odd", "waxy" ],
                 props["products"].select { |row| row["mechanism"] == "" }.map { |row| row["code"] }.sort
    get "/products/#{Product.find_by!(code: "odd").id}"
    assert_match(/odd/, response.body)
  end
end
