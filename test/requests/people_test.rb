require "test_helper"

# People sign in, hand devices over by their code, and do no more than their role lets them; the log says who.
class PeopleTest < RequestTest
  PASSWORD = "elm and old oak".freeze

  setup do
    set_up_shop
    Rails.configuration.x.demo = false
    Rails.cache.clear
    @imke = Person.find_by!(name: "Imke").tap { |one| one.update!(password: PASSWORD, code: "2468") }
    @osei = Person.create!(name: "Osei", password: PASSWORD)
    @wren = Person.create!(name: "Wren", role: "student", password: PASSWORD)
    @piece = make_piece(steps: [ coat("s1") ])
    @own = make_piece(name: "Tray", steps: [ coat("s1") ]).tap { |piece| piece.update!(person: @wren) }
  end

  teardown { Rails.configuration.x.demo = true }

  def sign_in(name, password: PASSWORD, **more)
    send_json("/sign_in", { name: name, password: password, **more })
    response.status
  end

  def start(piece, person, id: SecureRandom.uuid)
    read_cautions(piece, person: person) unless Entry.exists?(client_id: "read-#{piece.id}-#{person}")
    send_json("/entries", { client_id: id, kind: "started", pass: "#{piece.core_id}/s1/1/top", person: person,
                            happened_at: Time.current.iso8601 })
    response.status
  end

  test "nothing is shown before somebody signs in, and the page that was wanted comes after" do
    get "/record"
    assert_redirected_to "/sign_in?to=%2Frecord"
    get "/bench", headers: { "ACCEPT" => "application/json" }
    assert_equal [ 401, "Nobody has signed in on this device." ], [ response.status, sentence ]
    get "/up"
    assert_equal 200, response.status
    assert_equal 200, sign_in("Osei", to: "/record")
    assert_equal "/record", answer["location"]
    get "/record"
    assert_equal [ 200, { "name" => "Osei", "role" => "finisher", "new_device" => nil } ],
                 [ response.status, props["me"] ]
  end

  test "no address of elsewhere is gone on to" do
    %w[//far.example/x https://far.example /\\far.example javascript:alert(1) x].each do |to|
      assert_equal 200, sign_in("Osei", to: to)
      assert_equal "/bench", answer["location"], to
    end
  end

  test "a wrong password, a name that is none and somebody without one are refused alike" do
    Person.create!(name: "Ilse")
    [ [ "Osei", "oak and elm" ], [ "Nobody", PASSWORD ], [ "Ilse", "" ], [ "Ilse", PASSWORD ] ].each do |name, password|
      assert_equal 422, sign_in(name, password: password), name
      assert_match(/\AName and password do not belong together/, sentence, name)
    end
    get "/bench", headers: { "ACCEPT" => "application/json" }
    assert_equal 401, response.status
  end

  test "guesses at one name are held up, and say for how long" do
    8.times { assert_equal 422, sign_in("Osei", password: "wrong") }
    assert_equal 429, sign_in("Osei")
    assert_match(/Wait 5 min/, sentence)
    assert_equal 200, sign_in("Imke"), "others are not held up by it"
    travel 5.minutes + 1.second
    assert_equal 200, sign_in("Osei")
  end

  test "the cookie is beyond scripts and its token stands nowhere" do
    sign_in("Osei")
    line = Array.wrap(response.headers["Set-Cookie"]).join("\n").lines.find { |one| one.start_with?("rhexon_session=") }
    assert_match(/httponly/i, line)
    assert_match(/samesite=lax/i, line)
    _, token = Session.begin!(@osei, device: "x")
    assert_nil Session.find_by(token_digest: token)
    assert_equal @osei, Session.of_token(token).person
  end

  test "signed out, signed out everywhere, and unused for a month" do
    sign_in("Osei")
    _, elsewhere = Session.begin!(@osei, device: "Firefox on Android")
    get "/me"
    assert_equal [ "Firefox on Android" ], props["devices"].reject { |one| one["here"] }.map { |one| one["device"] }
    send_json("/me", {}, :delete)
    assert_nil Session.of_token(elsewhere)
    travel 29.days
    get "/bench"
    assert_equal 200, response.status
    send_json("/sign_in", {}, :delete)
    get "/bench"
    assert_redirected_to "/sign_in?to=%2Fbench"
    sign_in("Osei")
    travel 31.days
    get "/bench"
    assert_redirected_to "/sign_in?to=%2Fbench"
  end

  test "a new password needs the one of today and signs the other devices out" do
    sign_in("Osei")
    _, elsewhere = Session.begin!(@osei, device: "x")
    send_json("/me", { now: "not it", password: "ash beside beech" }, :patch)
    assert_match(/\AThat is not your password of today/, sentence)
    send_json("/me", { now: PASSWORD, password: "short" }, :patch)
    assert_equal "A password is 12 letters or more, up to 72 bytes.", sentence
    send_json("/me", { now: PASSWORD, code: "12" }, :patch)
    assert_equal "A code is 4 to 8 digits.", sentence
    send_json("/me", { now: PASSWORD, password: "ash beside beech", code: "1357" }, :patch)
    assert_equal [ 200, true ], [ response.status, answer["code"] ]
    assert_nil Session.of_token(elsewhere)
    assert_equal 422, sign_in("Osei")
    assert_equal 200, sign_in("Osei", password: "ash beside beech")
  end

  test "hands take a tablet over by their code, the log names them, and nobody goes further than they may" do
    sign_in("Osei")
    send_json("/hands", { name: "Imke" })
    assert_match(/\AThat is not the code of Imke/, sentence)
    assert_equal 422, start(@piece, "Imke"), "nobody works in the name of somebody who keeps a code"
    send_json("/hands", { name: "Imke", code: "2468" })
    assert_equal "finisher", answer.dig("me", "role"), "a code opens the bench, not the shop"
    assert_equal 200, start(@piece, "Imke")
    assert_equal @imke, Entry.find_by!(kind: "started").person
    send_json("/hands", { name: "Wren", code: PASSWORD })
    get "/shelf"
    assert_equal "student", props.dig("me", "role")
    send_json("/shop/backups", {})
    assert_equal [ 403, "That is for the owner of the shop." ], [ response.status, sentence ]
    send_json("/hands", { name: "" })
    assert_equal 422, response.status, "a student does not become a finisher by a touch"
    send_json("/hands", { name: "", code: PASSWORD })
    assert_equal [ 200, "Osei" ], [ response.status, answer.dig("me", "name") ]
  end

  def guess(code = "0000")
    send_json("/hands", { name: "Imke", code: code })
    response.status
  end

  test "codes are not guessed, from whatever device, and the owner is told" do
    sign_in("Osei")
    5.times { guess }
    assert_match(/\AThat is not the code of Imke/, sentence)
    guess("2468")
    assert_match(/\AToo many wrong codes or passwords for Imke. Accepted: another try after /, sentence)
    reset!
    sign_in("Wren")
    guess("2468")
    assert_match(/Too many wrong codes/, sentence, "on another device, too")
    travel 15.minutes + 1.second
    guess
    travel 15.minutes + 1.second
    guess("2468")
    assert_match(/Too many wrong codes/, sentence, "each waits twice as long")
    travel 15.minutes + 1.second
    assert_equal 200, guess("2468")
    reset!
    sign_in("Imke")
    get "/bench"
    assert_equal 6, props["refusals"]
    get "/shop/audit?refused=yes"
    assert_equal [ "code_refused" ] * 6, props["lines"].map { |line| line["kind"] }
    assert_equal [ "Imke", "Osei" ], props["lines"].last.values_at("person", "by")
  end

  # Ten thousand codes of four digits, tried as fast as is let: the day of each try, by what is counted.
  test "all codes take longer than a year" do
    day = 0
    60.times do
      tries = Tries.new(@imke, "code_refused")
      held = tries.held_until
      held && held > Time.current ? travel_to(held + 1.second) : tries.once { false }
      day = (Time.current - MONDAY) / 1.day
    end
    tried = AuditLine.where(kind: "code_refused").count
    assert_operator 10_000 / (tried / day), :>, 365, "#{tried} in #{day.round(1)} days"
  end

  test "what is the owner's asks for the password again" do
    sign_in("Imke")
    get "/shop/backups"
    assert_response :success
    travel 11.minutes
    get "/shop/backups"
    assert_redirected_to "/confirm?to=%2Fshop%2Fbackups"
    send_json("/shop/person/#{@osei.id}/account", { code: "9753" }, :patch)
    assert_equal [ 403, true ], [ response.status, answer.dig("error", "confirm") ]
    refute_predicate @osei.reload, :code?
    send_json("/confirm", { password: "not it" })
    assert_equal "That is not your password", sentence
    send_json("/confirm", { password: PASSWORD })
    assert_response :success
    send_json("/shop/person/#{@osei.id}/account", { code: "9753" }, :patch)
    assert_predicate @osei.reload, :code?
    send_json("/hands", { name: "Osei", code: "9753" })
    get "/shop/backups"
    assert_response :forbidden, "in other hands the device is not the owner's"
  end

  test "back to an owner by the code is the bench alone" do
    sign_in("Imke")
    send_json("/hands", { name: "Osei", code: PASSWORD })
    send_json("/hands", { name: "", code: "2468" })
    assert_equal [ "Imke", "finisher" ], answer["me"].values_at("name", "role")
    send_json("/shop/tool", { name: "gun", used_for: "spray" })
    assert_response :forbidden
    assert_equal "A code only opens the bench. Sign in with your password for this.", sentence
    send_json("/hands", { name: "", code: PASSWORD })
    assert_equal "owner", answer.dig("me", "role")
    send_json("/hands", { name: "" })
    assert_equal "owner", answer.dig("me", "role"), "whoever is back already stays"
  end

  test "what is revoked ends at once, where they signed in and what they took over" do
    sign_in("Osei")
    send_json("/hands", { name: "Imke", code: "2468" })
    assert_response :success
    owner = ActionDispatch::Integration::Session.new(app)
    owner.post("/sign_in", params: { name: "Imke", password: PASSWORD }.to_json, headers: JSON_HEADERS)
    owner.get("/me", headers: { "X-Inertia" => "true", "X-Inertia-Version" => InertiaRails.configuration.version.to_s })
    assert_includes JSON.parse(owner.response.body).dig("props", "devices").map { |one| one["of"] }, "Osei"
    owner.delete("/me", params: "{}", headers: JSON_HEADERS)
    get "/bench", headers: JSON_HEADERS
    assert_equal 401, response.status
    assert_equal 1, Session.count
  end

  test "nobody gives themselves a first secret, and nobody's hands are taken without one" do
    ilse = Person.create!(name: "Ilse")
    sign_in("Osei")
    send_json("/hands", { name: "Ilse" })
    assert_response :success
    send_json("/me", { now: "", code: "1111", password: "mine from now on" }, :patch)
    assert_match(/\AThe owner of the shop gives Ilse/, sentence)
    refute ilse.reload.code? || ilse.signs_in?
    send_json("/hands", { name: "Wren" })
    assert_match(/\AThat is not the code of Wren/, sentence, "who signs in by a password and keeps no code")
  end

  # RFC 6238, appendix B: the secret of twenty ASCII digits shows 94287082 at 59 s; the last six are what apps show.
  test "a second step beside the password, whose digits are good once" do
    @osei.update!(second_secret: ROTP::Base32.encode("12345678901234567890"))
    travel_to Time.at(59)
    assert Person::SecondStep.new(@osei).passed?("287082")
    refute Person::SecondStep.new(@osei).passed?("287082"), "once"
    travel_to MONDAY
    assert_equal 422, sign_in("Osei")
    assert_equal "second", answer.dig("error", "where")
    assert_equal 422, sign_in("Osei", second: "000000")
    digits = ROTP::TOTP.new(@osei.second_secret).now
    assert_equal 422, sign_in("Osei", password: "not it at all", second: digits), "the password first"
    assert_equal 200, sign_in("Osei", second: digits)
    send_json("/me/second", { now: "wrong" }, :delete)
    assert_equal "That is not your password of today", sentence
    send_json("/me/second", { now: PASSWORD }, :delete)
    refute_predicate @osei.reload, :second_step?
    send_json("/me/second", {})
    offer = answer
    send_json("/me/second", { offered: offer["offered"], second: "000000" }, :patch)
    assert_match(/not the digits of the app now/, sentence)
    send_json("/me/second", { offered: offer["offered"], second: ROTP::TOTP.new(offer["secret"]).now }, :patch)
    assert_predicate @osei.reload, :second_step?
    travel 11.minutes
    send_json("/me/second", { offered: offer["offered"], second: ROTP::TOTP.new(offer["secret"]).now }, :patch)
    assert_match(/too long ago/, sentence)
  end

  test "passwords that are tried first are refused" do
    %w[password1234 123456789012 qwertyuiop12 aaaaaaaaaaaa Osei2026Osei].each do |weak|
      @osei.password = weak
      refute_predicate @osei, :valid?, weak
      assert_match(/too easy to guess/, @osei.errors.first.message)
    end
  end

  test "what somebody else has done is not written down as of whoever is here" do
    sign_in("Osei")
    read_cautions(@piece, person: "Osei")
    body = { client_id: "t", kind: "started", pass: "#{@piece.core_id}/s1/1/top", happened_at: Time.current.iso8601 }
    post "/entries", params: body.to_json, headers: { **JSON_HEADERS, "X-Whose" => "Imke" }
    assert_equal [ 409, "Imke" ], [ response.status, answer.dig("error", "whose") ]
    assert_nil Entry.find_by(client_id: "t")
    post "/entries", params: body.to_json, headers: { **JSON_HEADERS, "X-Whose" => "Osei" }
    assert_equal [ 200, @osei ], [ response.status, Entry.find_by(client_id: "t").person ]
  end

  test "what is logged and changed names who did it" do
    sign_in("Osei")
    edit(@piece, { op: "change_step", id: "s1", set: { coats: 2 } })
    assert_equal @osei, @piece.schedule.reload.head.person
    get "/pieces/#{@piece.id}/schedule/history", headers: JSON_HEADERS
    assert_equal [ "Osei", nil ], answer["revisions"].map { |one| one["by"] }.values_at(0, -1)
  end

  test "the owner gives and takes roles, passwords and codes, and one owner stays" do
    sign_in("Imke")
    path = "/shop/person/#{@osei.id}/account"
    send_json(path, { role: "owner", password: "ash beside beech", code: "1357" }, :patch)
    assert_equal [ "owner", true, true ],
                 answer["people"].find { |one| one["name"] == "Osei" }.values_at("role", "signs_in", "has_code")
    send_json("/shop/person/#{@imke.id}/account", { role: "finisher" }, :patch)
    assert_equal 200, response.status
    send_json(path, { role: "finisher" }, :patch)
    assert_equal [ 403, "That is for the owner of the shop." ], [ response.status, sentence ]
    sign_in("Osei", password: "ash beside beech")
    send_json(path, { role: "student" }, :patch)
    assert_equal [ 422, "Somebody has to own the shop: make another one the owner first" ],
                 [ response.status, sentence ]
    send_json(path, {}, :delete)
    assert_equal 422, response.status
    send_json("/shop/person/#{@wren.id}/account", {}, :delete)
    assert_equal [ false, 0 ], [ @wren.reload.signs_in?, @wren.sessions.count ]
  end

  test "a shop that nobody owns yet asks who does, once" do
    Person.update_all(password_digest: nil, code_digest: nil, role: "finisher")
    get "/bench"
    assert_redirected_to "/begin/owner"
    get "/begin/owner"
    assert_equal %w[Imke Osei Wren], props["people"]
    code = Shop::FirstOwner.file.read
    send_json("/begin/owner", { name: "Osei", password: PASSWORD, code: "AAAA-BBBB-CCCC" })
    assert_match(/\AThat is not the code/, sentence)
    send_json("/begin/owner", { name: "Osei", password: "short", code: code })
    assert_equal 422, response.status
    send_json("/begin/owner", { name: "Osei", password: PASSWORD, code: code.downcase })
    refute_path_exists Shop::FirstOwner.file
    assert_equal [ 200, "owner" ], [ response.status, @osei.reload.role ]
    send_json("/begin/owner", { name: "Imke", password: PASSWORD })
    assert_match(/has an owner already/, sentence)
    assert_equal "finisher", @imke.reload.role
  end

  test "the demo believes its own machine alone" do
    Rails.configuration.x.demo = true
    get "/bench"
    assert_equal [ 200, "Imke" ], [ response.status, props.dig("me", "name") ]
    reset!
    get "/bench", env: { "REMOTE_ADDR" => "192.168.1.20" }
    assert_redirected_to "/sign_in?to=%2Fbench"
    %w[X-Forwarded-For Forwarded X-Real-IP Via].each do |header|
      get "/bench", headers: { header => "127.0.0.1" }
      assert_equal 302, response.status, header
      send_json("/sign_in", { name: "Imke" })
      assert_equal 200, response.status
      reset!
      post "/sign_in", params: { name: "Imke" }.to_json, headers: { **JSON_HEADERS, header => "10.0.0.7" }
      assert_equal 422, response.status, header
    end
  end
end
