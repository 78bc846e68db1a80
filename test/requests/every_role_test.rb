require "test_helper"
require_relative "../support/every_route"

# Every route of the router, asked for by each role: what is not named here for a role is refused to it. A student is
# refused whatever is somebody else's.
class EveryRoleTest < RequestTest
  include EveryRoute

  # Before anybody has signed in.
  OPEN = [
    "GET /up", "GET /service-worker.js", "GET /away", "GET /begin", "POST /begin", "POST /begin/archive",
    "GET /begin/owner", "POST /begin/owner", "GET /sign_in", "POST /sign_in", "DELETE /sign_in", "GET /",
    "GET /guest/:token", "GET /guest/:token/photo", "POST /guest/:token/approval"
  ].freeze
  # With a token of an instrument, which is asked for by itself.
  BY_TOKEN = [ "POST /readings" ].freeze
  # What the owner alone may do.
  OWNERS = [
    "POST /shop/hours", "POST /shop/person", "PATCH /shop/person/:person_id/account",
    "DELETE /shop/person/:person_id/account", "POST /shop/tool", "POST /shop/house", "POST /shop/judgements",
    "POST /shop/room", "POST /shop/instruments", "PATCH /shop/instruments/:id", "DELETE /shop/instruments/:id",
    "GET /shop/audit", "GET /shop/settings", "PATCH /shop/settings", "GET /shop/archive", "GET /shop/backups",
    "POST /shop/backups",
    "POST /shop/backups/:id/restore", "GET /shop/backups/doctor", "GET /shop/backups/drill", "POST /shop/backups/drill"
  ].freeze
  # What a student may do with what is theirs, or with what is nobody's.
  STUDENTS = [
    "GET /bench", "POST /entries", "POST /entries/:entry_id/settling",
    "GET /faults", "GET /faults/:id", "GET /patch", "POST /hands", "GET /me",
    "GET /confirm", "POST /confirm", "POST /me/second", "PATCH /me/second", "DELETE /me/second",
    "PATCH /me", "DELETE /me", "GET /handbook(/:id)", "POST /instruments/:id/press", "GET /readings", "GET /scale",
    "POST /scale/zero", "POST /scale/hand", "GET /sums", "POST /sums", "GET /shelf/over", "POST /shelf/over",
    "GET /pieces", "GET /pieces/:piece_id/photos", "GET /pieces/:piece_id/handover", "GET /jobs/:job_id/handover",
    "GET /pieces/levels", "POST /page_faults", "GET /pieces/compare", "GET /pieces/compare/chances", "POST /photos",
    "GET /photos/:id",
    "DELETE /photos/:id", "GET /photos/:photo_id/thumb", "POST /photos/:photo_id/colour",
    "GET /boards", "POST /boards", "GET /boards/new", "GET /boards/:id", "GET /trials/new", "POST /trials",
    "PATCH /trials/:id", "POST /trials/preview", "GET /trials/base/:piece_id", "GET /boards/colour",
    "POST /boards/colour", "GET /boards/colour/step", "POST /boards/colour/step", "GET /mix", "POST /mix",
    "GET /mix/:id", "POST /mix/preview", "GET /shelf", "GET /batches/:id", "GET /products/:id", "GET /products/new"
  ].freeze
  STUDENTS_BELOW = [ %r{ /pieces/:piece_id/schedule}, %r{ /boards/:board_id/}, %r{ /mix/:mix_id/} ].freeze
  NOT_FOR_STUDENTS = [ "POST /boards/:board_id/cells/:cell_id/approval" ].freeze

  setup do
    set_up_everything
    Rails.configuration.x.demo = false
    @people = Person::ROLES.to_h { |role| [ role, Person.create!(name: role, role: role, at_bench: false) ] }
    Person.find_by!(name: "Imke").update!(password: "elm and old oak")
  end

  teardown { Rails.configuration.x.demo = true }

  # Each request meets the same shop.
  # @return [Integer] status
  def asked(role, verb, pattern)
    status = nil
    body = bodies.fetch("#{verb} #{pattern}", [ nil ]).find { |one| one.nil? || of_a_pass?(one) || pattern != "/mix" }
    ApplicationRecord.transaction(requires_new: true) do
      reset!
      as(role)
      process(verb.downcase.to_sym, filled(pattern),
              params: body && JSON.generate(body), headers: body ? JSON_HEADERS : JSON_HEADERS.slice("ACCEPT"))
      status = response.status
      raise ActiveRecord::Rollback
    end
    Shelf.forget
    ShopFloor.faulty = nil
    Rails.cache.clear
    status
  end

  # Whoever is a student mixes for a pass of theirs.
  def of_a_pass?(body) = body.key?(:pass)

  def as(role) = role && sign_in_as(@people.fetch(role))

  def students?(route)
    return false if NOT_FOR_STUDENTS.include?(route)

    STUDENTS.include?(route) || STUDENTS_BELOW.any? { |below| below.match?(route) }
  end

  test "each role is let in where it belongs, and nowhere else" do
    # All of it is the student's own here: only the routes differ.
    Piece.update_all(person_id: @people["student"].id)
    Mix.update_all(pass_keys: [ "#{@piece.core_id}/s1/1/top" ])
    wrong = routes.flat_map do |verb, pattern|
      route = "#{verb} #{pattern}"
      open = OPEN.include?(route)
      next [] if BY_TOKEN.include?(route)

      allowed = { nil => open, "student" => open || students?(route),
                  "finisher" => open || OWNERS.exclude?(route), "owner" => true }
      # Whoever is refused is refused on each route in each run; what is let in is planned and drawn, and takes long.
      drawn = TestShare.of(route, allowed.select { |_, may| may }.keys, most_parts: 4)
      allowed.select { |role, may| !may || drawn.include?(role) }.filter_map do |role, may|
        status = asked(role, verb, pattern)
        refused = role ? status == 403 : status == 401 || response.location.to_s.include?("/sign_in")
        "#{role || "nobody"} #{route}: #{status}" if refused == may || status >= 500
      end
    end
    assert_empty wrong, "let in or refused where it should not be"
  end

  test "a student is refused whatever is somebody else's" do
    Mix.update_all(pass_keys: [ "#{@piece.core_id}/s1/1/top" ])
    about = /:piece_id|:entry_id|:job_id|:board_id|:mix_id|:photo_id|\/(boards|mix|photos|trials)\/:id/
    named = [ "POST /entries", "POST /photos", "POST /boards", "POST /trials", "POST /trials/preview", "POST /mix",
              "POST /boards/colour/step" ]
    theirs = routes.map { |verb, pattern| "#{verb} #{pattern}" }.select { |route| students?(route) }
    let = theirs.select { |route| about.match?(route) || named.include?(route) }.filter_map do |route|
      status = asked("student", *route.split(" ", 2))
      "#{route}: #{status}" unless status == 403
    end
    assert_empty let, "let a student at what is not theirs"
  end

  test "lists show a student nothing of others" do
    as("student")
    %w[/bench /pieces /boards /mix /boards/new /trials/new /boards/colour].each do |path|
      get path
      assert_equal 200, response.status, path
      assert_no_match(/Desk top|#{Regexp.escape(@piece.name)}/, response.body, path)
    end
  end

  # Neither what the shop pays and mixes for itself, nor what it buys, nor in whose pieces a product is.
  test "the shelf shows a student what stands there, and no price" do
    Recipe.create!(name: "House brown", components: [ { "name" => "a", "parts" => 1, "density_g_per_ml" => 1.0 } ])
    pages = [ "/products/#{Product.find_by!(code: "w20").id}", "/mix", "/shelf", "/shelf?view=batches" ]
    told = %w[finisher student].to_h do |role|
      as(role)
      [ role, pages.flat_map { |path| get(path) && response.body.scan(/price|House brown|Desk top/) }.uniq.sort ]
    end
    assert_equal({ "finisher" => [ "Desk top", "House brown", "price" ], "student" => [] }, told)
    get "/shelf?view=shopping"
    assert_equal 403, response.status
  end
end
