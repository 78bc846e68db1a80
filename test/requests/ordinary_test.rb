require "test_helper"

# Ordinary actions that once took pages down: people, tools, products and hours that are in use, dates far away.
class OrdinaryTest < RequestTest
  PAGES = %w[
    /bench /pieces /pieces/plan /pieces/plan/goals /pieces/plan/chance /boards /mix /shelf?view=shopping /shop
    /shop/calendar.ics
  ].freeze

  setup do
    set_up_shop
    @osei = Person.create!(name: "Osei")
    @piece = make_piece(steps: [ coat("s1", coats: 2), coat("s2", product: "seal") ])
  end

  def walk
    (PAGES + [ "/pieces/#{@piece.id}/schedule" ]).each do |path|
      get path
      assert_equal 200, response.status, "#{path}: #{response.body[0, 300]}"
    end
    assert_empty ShopFloor.new.aside.map(&:reason)
  end

  def post!(path, body)
    send_json(path, body)
    assert_equal 200, response.status, response.body
  end

  def away!(person) = post!("/shop/person", { id: person.id, at_bench: false })

  test "somebody who began work leaves the bench" do
    log(@piece, "s1/1/top", "started", 10.minutes.ago, { "person" => "Osei" })
    away!(@osei)
    walk
    log(@piece, "s1/1/top", "done", 1.minute.ago)
    walk
  end

  test "somebody whose work is pinned leaves the bench: the work goes to whoever is free, and the plan says so" do
    edit(@piece, { "op" => "pin", "id" => "s1", "coat" => 1, "start" => nil, "person" => "Osei" })
    assert_equal 200, response.status
    away!(@osei)
    walk
    assert_equal "Imke", ShopFloor.new.plan.of_piece(@piece.core_id).first.person
    get "/pieces/plan"
    assert_includes props["plan"]["clashes"].map { |clash| clash["sentence"] },
                    "Osei is not at the bench, so Coat 1 of 2 goes to whoever is free."
    edit(@piece, { "op" => "change_step", "id" => "s2", "set" => { "wet_um" => 70 } })
    assert_equal 200, response.status, response.body
  end

  test "a gun that a step names is taken away: retired, known, and no longer offered" do
    post!("/shop/tool", { name: "big gun" })
    post!("/shop/tool", { name: "small gun" })
    edit(@piece, { "op" => "change_step", "id" => "s1", "set" => { "tool" => "big gun" } })
    assert_equal 200, response.status, response.body
    Tool.find_each { |tool| post!("/shop/tool", { id: tool.id }) }
    assert_equal [ [ "big gun", true ] ], Tool.all.map { |tool| [ tool.name, tool.retired? ] }
    assert_empty answer["tools"]
    walk
    edit(@piece, { "op" => "undo" })
    post!("/shop/tool", { name: "big gun" })
    assert_not Tool.sole.retired?
  end

  test "a product that an older revision names cannot be deleted, only retired; undo brings it back to work" do
    edit(@piece, { "op" => "remove_step", "id" => "s2" })
    seal = Product.find_by!(code: "seal")
    delete "/products/#{seal.id}", headers: JSON_HEADERS
    assert_equal 422, response.status
    assert_match(/stays known.*Accepted: retiring it/, sentence)
    post!("/products/#{seal.id}/retirement", {})
    get "/pieces/#{@piece.id}/schedule"
    assert(props["shelf"].find { |item| item["id"] == "seal" }["retired"])
    post!("/pieces/#{@piece.id}/schedule/undo", {})
    walk
    get "/shelf"
    assert_equal [ "seal" ], props["products"].select { |row| row["retired"] }.map { |row| row["code"] }
    delete "/products/#{seal.id}/retirement", headers: JSON_HEADERS
    assert_not seal.reload.retired?
  end

  test "a product that nothing names is deleted, one that another is mixed with is not" do
    stock_two_part(base_g: nil, hardener_g: nil)
    %w[waxy h12].each { |code| delete "/products/#{Product.find_by!(code: code).id}", headers: JSON_HEADERS }
    assert_not Product.exists?(code: "waxy")
    assert Product.exists?(code: "h12")
  end

  test "a scheduled product that is made a thinner is refused with the piece that needs it" do
    patch "/products/#{Product.find_by!(code: "w20").id}", params: { kind: "thinner", figures: {} }.to_json,
                                                           headers: JSON_HEADERS
    assert_equal 422, response.status
    assert_match(/Desk top: Coat cannot use Skerrow W20 clear satin: it wants a finish that leaves a film/, sentence)
    assert_equal "waterborne_two_part", Product.find_by!(code: "w20").kind
    walk
  end

  test "a file that makes a scheduled product unusable is refused whole" do
    file = Rack::Test::UploadedFile.new(
      StringIO.new("maker,name,class,code\nSkerrow,W20 clear satin,thinner,w20\nOrrin,new one,shellac,new\n"),
      "text/csv", original_filename: "p.csv"
    )
    post "/products/import", params: { file: file }, headers: { "ACCEPT" => "application/json" }
    assert_equal 422, response.status, response.body
    assert_not Product.exists?(code: "new")
    walk
  end

  test "all hours emptied: nothing can be placed, and every page says so" do
    post!("/shop/hours", { week: {}, days: [] })
    walk
    assert_equal [ "hours" ], ShopFloor.new.plan.build.blocked.values.map(&:constraint)
    get "/pieces/plan"
    assert_match(/nobody who may do it is there long enough/, props["plan"]["clashes"].first["sentence"])
  end

  test "a cell cannot be given a product that is not there, nor one that its step cannot use" do
    cell = Board
      .create!(name: "B", wood: "elm", grain: "open", width_mm: 400, height_mm: 300, made_on: Date.new(2026, 11, 1))
      .cells
      .create!(label: "1", position: 0, layers: [])
    [
      coat("s1", product: "nope"), coat("s1", product: "russet"), coat("s1", method: "pad"),
      coat("s1").merge("minutes" => 5)
    ].each do |step|
      patch "/boards/#{cell.board_id}/cells/#{cell.id}", params: { layers: [ step ] }.to_json, headers: JSON_HEADERS
      assert_equal 422, response.status, step.inspect
    end
    get "/boards/#{cell.board_id}"
    assert_equal 200, response.status
  end

  test "what happened in the year 1 is refused, and what stands there by older data is left out" do
    %w[0001-01-01T00:00:00Z -4712-01-01T00:00:00Z 1999-01-01T00:00:00Z].each do |at|
      send_json("/entries",
                { client_id: "c#{at}", kind: "started", pass: "#{@piece.core_id}/s1/1/top", happened_at: at })
      assert_equal 422, response.status, at
    end
    assert_equal 0, Entry.count
    Entry.connection
      .execute("INSERT INTO entries (client_id, kind, piece_id, pass_key, happened_at, recorded_at) VALUES ('old', " \
               "'started', #{@piece.id}, '#{@piece.core_id}/s1/1/top', '0001-01-01 00:00:00', '2026-11-23 07:00:00')")
    walk
  end

  test "due in the year 9999, or in a hundred years, is refused; what stands there by older data is planned in no " \
       "more time" do
    %w[9999-12-31 2126-01-01 0001-01-01].each do |due|
      patch "/jobs/#{@piece.job_id}", params: { due_on: due }.to_json, headers: JSON_HEADERS
      assert_equal [ 422, "A due date is within ten years." ], [ response.status, sentence ], due
      post "/pieces",
           params: {
             client: "Far", due: due, name: "P", wood: "elm", faces: [ { name: "top", area_m2: 1, grain: "closed" } ]
           }
      assert_not Job.exists?(client: "Far")
    end
    patch "/jobs/#{@piece.job_id}", params: { due_on: "2036-01-01" }.to_json, headers: JSON_HEADERS
    assert_equal 200, response.status
    Room.first
      .update!(daily: [ { "at" => "06:00", "t_c" => 20, "rh" => 50 }, { "at" => "18:00", "t_c" => 14, "rh" => 60 } ])
    walk
    @piece.job.update_columns(due_at: Time.utc(9999, 12, 31))
    get "/bench"
    assert_equal [ 200, [ "Desk top" ] ], [ response.status, props["aside"].map { |aside| aside["name"] } ]
  end

  test "readings of a logger whose clock was wrong are refused row by row" do
    rows = "time,t_c,rh\n9999-12-31 10:00,20,50\n2026-11-22 10:00,20,50\n0001-01-01 10:00,20,50\n"
    post "/shop/rooms/#{Room.first.id}/logger",
         params: { file: Rack::Test::UploadedFile.new(StringIO.new(rows), "text/csv", original_filename: "l.csv") },
         headers: { "ACCEPT" => "application/json" }
    assert_equal 200, response.status, response.body
    assert_equal [ 1, 2 ], answer["report"].values_at("hours", "refused")
    ClimateReading.create!(room: Room.first, at: Time.utc(9999, 12, 31), until: Time.utc(9999, 12, 31, 1),
                           kind: "forecast", t_c: 20, rh: 50, air: "ordinary")
    walk
  end
end
