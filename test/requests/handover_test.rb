require "test_helper"

# What a client is given: a page, its dates as a calendar, and a link that shows it and nothing else.
class HandoverTest < RequestTest
  setup do
    set_up_shop
    seal = coat("s0", product: "seal", method: "wipe", wet_um: 15, role: "seal")
    @piece = make_piece(name: "Desk top", steps: [ seal, coat("s1", coats: 2) ])
    Person.find_by!(name: "Imke").update!(password: "elm and old oak")
    get "/bench" # somebody is there
  end

  def page(path)
    get path
    assert_equal 200, response.status, path
    props
  end

  def link(**of)
    send_json("/links", { kind: "handover", piece_id: @piece.id, **of })
    assert_equal 200, response.status, response.body
    answer["url"].delete_prefix("http://www.example.com")
  end

  # Nobody has signed in on the client's device.
  def as_guest
    reset!
    Rails.configuration.x.demo = false
    yield
  ensure
    Rails.configuration.x.demo = true
    reset!
  end

  test "the page tells what lies on it by its kind, and by name only where that is wanted" do
    piece = page("/pieces/#{@piece.id}/handover")["pieces"].first
    assert_equal [ "Shellac", "Waterborne, two part" ], piece["layers"].map { |layer| layer["family"] }
    assert_equal [ nil, nil ], piece["layers"].map { |layer| layer["product"] }
    named = page("/pieces/#{@piece.id}/handover?names=yes")["pieces"].first
    assert_equal "Skerrow W20 clear satin", named["layers"].last["product"]
    assert_equal %w[dust_safe touch light_use normal_use wash cover full_cure], piece["dates"].map { |one| one["id"] }
    assert_equal piece["dates"].map { |one| one["at"] }.sort, piece["dates"].map { |one| one["at"] }
    assert_equal [ "waterborne clear" ], piece.dig("care", "names")
  end

  test "a floor has its own dates, and a job tells of all its pieces but those that cannot be computed" do
    @piece.update!(use: "floor")
    other = make_piece(name: "Bare", steps: [])
    broken = make_piece(name: "Broken", steps: [ coat("s1") ])
    [ other, broken ].each { |piece| piece.update!(job: @piece.job) }
    odd = broken.schedule.revisions.create!(number: 9, document: { format: "rhexon-schedule/2", steps: 7 },
                                            operation: {}, reason: "x", created_at: Time.current)
    broken.schedule.update!(head: odd)
    shown = page("/jobs/#{@piece.job_id}/handover")
    assert_equal [ [ "Desk top" ], [ "Broken" ] ], [ shown["pieces"].map { |one| one["name"] }, shown["aside"] ]
    assert_includes shown["pieces"].first["dates"].map { |one| one["id"] }, "socks"
    assert_empty page("/pieces/#{other.id}/handover")["pieces"]
  end

  test "what was approved, kept and tried belongs to it" do
    jar = Batch.create!(product: Product.find_by!(code: "w20"), name: "W20, touch-up", state: "opened", kept: true,
                        lot: "L7", expires_on: Date.new(2027, 6, 1))
    StockMove.record!(batch: jar, grams: 80, reason: "filled off", client_id: "j")
    board = Board.create!(name: "Elm 3", wood: "elm", grain: "open", width_mm: 400, height_mm: 300, piece: @piece,
                          made_on: Date.new(2026, 11, 1))
    cell = board.cells.create!(label: "4", position: 0, layers: [ coat("s1") ])
    Approval.record!(@piece, { "client_id" => "a", "name" => "The librarian" }, cell: cell)
    piece = page("/pieces/#{@piece.id}/handover")["pieces"].first
    assert_equal [ "4", "The librarian", false ], piece["look"].values_at("cell", "approved_by", "stale")
    assert_equal [ [ "top coat", "L7", 80, "2027-06-01" ] ],
                 piece["touch_ups"].map { |one| one.values_at("name", "lot", "g", "expires_on") }
  end

  test "its dates are a calendar, with the fresh coat on its day" do
    Product.find_by!(code: "w20").update!(kind: "hardwax_oil")
    get "/pieces/#{@piece.id}/handover.ics"
    assert_equal "text/calendar", response.media_type
    events = Icalendar::Calendar.parse(response.body).first.events
    assert_equal 8, events.size
    finished = page("/pieces/#{@piece.id}/handover")["pieces"].first["finished_at"]
    due = Shop.current.clock.date(finished) >> 36 # hardwax oil indoors, uses.yml
    assert_equal due, events.last.dtstart.to_date
    assert_match(/fresh coat/, events.last.summary)
  end

  test "a job asked for beside a piece changes nothing" do
    [ "", "x", @piece.job_id + 1 ].each do |odd|
      shown = page("/pieces/#{@piece.id}/handover?job_id=#{odd}")["pieces"]
      assert_equal [ @piece.name ], shown.map { |one| one["name"] }
    end
  end

  test "a link shows one handover to whoever has it, and nothing else of the shop" do
    path = link
    as_guest do
      shown = page(path)
      assert_equal [ "Desk top" ], shown["pieces"].map { |one| one["name"] }
      assert_equal [ [], nil ], shown.values_at("links", "me")
      assert_equal %w[name now zone], shown["shop"].keys.sort
      [ "#{path}.pdf", "#{path}.pdf?only=care", "#{path}.ics" ].each do |kind|
        get kind
        assert_equal 200, response.status, kind
      end
      [ "/pieces/#{@piece.id}/handover", "/bench", "/record", "/photos/1", "/shop/backups" ].each do |other|
        get other
        assert_redirected_to "/sign_in?to=#{CGI.escape(other)}"
      end
      send_json("#{path}/approval", { client_id: "g", name: "Me" })
      assert_equal 422, response.status
    end
    assert_equal [ true, 1 ], page("/pieces/#{@piece.id}/handover")["links"].then { |all|
      [ all.first["seen_at"].present?, all.size ]
    }
  end

  test "a link ends when told, and on its day; a token that is none shows as little" do
    told, dated = link, link(ends_on: "2026-11-24")
    send_json("/links/#{GuestLink.order(:id).first.id}", {}, :delete)
    refute answer.dig("link", "live")
    as_guest do
      [ told, "/guest/none" ].each do |path|
        get path
        assert_equal [ 404, "Guest/Ended" ], [ response.status, component ], path
        get "#{path}.pdf"
        assert_equal 404, response.status
      end
      get dated
      assert_equal 200, response.status
      travel_to Time.utc(2026, 11, 24, 22, 59) # 23:59 in the shop
      get dated
      assert_equal 200, response.status
      travel 2.minutes
      get dated
      assert_equal 404, response.status
    end
  end

  test "the file holds no token, and odd links are refused" do
    token = link.split("/").last
    assert_empty GuestLink.where(token_digest: token)
    { { kind: "record" } => /handover or a look/, { ends_on: "2020-01-01" } => /It would end/,
      { ends_on: "soon" } => /no day/, { kind: "approval" } => /handover or a look/ }.each do |body, said|
      send_json("/links", { kind: "handover", piece_id: @piece.id, **body })
      assert_equal 422, response.status, body.to_s
      assert_match said, sentence
    end
  end

  test "a client approves a look by a link; it is kept with the piece, goes stale, and is asked for anew" do
    board = Board.create!(name: "Elm 3", wood: "elm", grain: "open", width_mm: 400, height_mm: 300, piece: @piece,
                          made_on: Date.new(2026, 11, 1))
    cell = board.cells.create!(label: "4", position: 0, layers: [ coat("s1") ])
    path = link(kind: "approval", piece_id: nil, cell_id: cell.id)
    as_guest do
      assert_nil page(path)["approved"]
      send_json("#{path}/approval", { client_id: "g1", name: " " })
      assert_match(/write the name/, sentence)
      send_json("#{path}/approval", { client_id: "g1", name: "The librarian", light: "daylight" })
      assert_equal [ "The librarian", false ], answer["approved"].values_at("name", "stale")
      send_json("#{path}/approval", { client_id: "g1", name: "The librarian", light: "daylight" })
      assert_equal 1, Entry.where(kind: "approved").count
    end
    entry = Entry.find_by!(kind: "approved")
    assert_equal [ cell, GuestLink.last.id, nil ], [ entry.cell, entry.body["link"], entry.person ]
    edit(@piece, { op: "change_step", id: "s1", set: { coats: 3 } })
    as_guest { assert page(path)["approved"]["stale"] }
  end

  # The name of the page.
  def component = JSON.parse(Nokogiri::HTML(response.body).at_css("script[data-page]").text)["component"]
end
