require "test_helper"
require_relative "../support/every_route"

# Every route of the router, with nested, huge, odd-typed and missing fields: whatever is sent, nothing is answered
# with 500, and what is refused is refused with a sentence.
class EveryRouteTest < RequestTest
  include EveryRoute

  HUGE = ("x" * 100_000).freeze
  DEEP = 40.times.reduce("x") { |inner, _| { "a" => [ inner ] } }.freeze
  JUNK = [
    nil, 0, 7, -1, 1.5, 1e308, 10**30, "", "x", "-1", "9999-12-31", "2026-13-45T99:99:99Z", "🙂" * 40, "a\u0000b", HUGE,
    true, false, [], [ nil ], [ 1, "x" ], [ [ [] ] ], {}, { "a" => 1 }, { "id" => { "x" => [] } }, DEEP
  ].freeze
  QUERY = [ "x", "", "-1", "99999999999999999999", "%F0%9F%99%82", "a%00b", "%ff", "x" * 5000 ].freeze
  # Shapes of a query that a form would never make.
  NESTED = %w[?face[]=x ?face[a]=b ?copy[]=1 ?copy[a]=b ?piece[]=1 ?piece[a]=1 ?with[a]=b ?with[][a]=b ?view[]=x
              ?product[]=x ?sum[]=x ?pass[]=x ?pass=a/b/c ?job_id[]=x ?id[]=1 ?a[b][c]=1&a[b]=2].freeze

  setup do
    set_up_everything
    @sent = 0
    @failed = []
  end

  # All that went wrong is told together.
  teardown {
    assert_empty @failed.first(40),
                 "#{@failed.size} of #{@sent} requests (#{TestShare.words}) were answered with 500, or refused without " \
                 "a sentence"
  }

  # Sends in a transaction that is rolled back, so that each request meets the same shop.
  def tried(verb, path, body = nil, accept: "application/json")
    @sent += 1
    ApplicationRecord.transaction(requires_new: true) do
      process(verb.downcase.to_sym, path, params: body.nil? ? nil : JSON.generate(body),
                                          headers: { "ACCEPT" => accept, **(body.nil? ? {} : { "CONTENT_TYPE" => "application/json" }) })
      told = "#{verb} #{path} #{body.to_s.first(300)}: #{response.status} #{response.body.to_s.first(300)}"
      @failed << told if response.status >= 500 || (response.status >= 400 && accept == "application/json" && response.media_type == "application/json" && sentence.blank?)
      raise ActiveRecord::Rollback
    end
    Shelf.forget
    ShopFloor.faulty = nil
    Rails.cache.clear # tries are counted, here each is the first
    cookies.delete("rhexon_left")
  end

  # Every field of a body in turn, deep ones too, as each piece of junk and left out.
  def mutations(body, junk)
    paths(body).flat_map { |path| [ without(body, path), *junk.map { |value| with(body, path, value) } ] }
  end

  def paths(value, at = [])
    inner = case value
    when Hash then value.flat_map { |key, child| paths(child, [ *at, key ]) }
    when Array then value.each_with_index.flat_map { |child, index| paths(child, [ *at, index ]) }
    else []
    end
    at.empty? ? inner : [ at, *inner ]
  end

  def with(body, path, value)
    copy = JSON.parse(JSON.generate(body))
    *parents, last = path.map { |part| part.is_a?(Symbol) ? part.to_s : part }
    parents.reduce(copy) { |inner, part| inner[part] }[last] = value
    copy
  end

  def without(body, path)
    copy = JSON.parse(JSON.generate(body))
    *parents, last = path.map { |part| part.is_a?(Symbol) ? part.to_s : part }
    parents.reduce(copy) { |inner, part|
      inner[part]
    }.then { |inner| inner.is_a?(Array) ? inner.delete_at(last) : inner.delete(last) }
    copy
  end

  # In full each field is sent a third of the junk, in turn, so that all is sent over the whole; else one odd value.
  def odd_values(at)
    full = JUNK.each_slice(3).filter_map { |slice| slice[at % 3] }
    TestShare.full? ? full : [ JUNK[(at + TestShare::SEED) % JUNK.size] ]
  end

  # @return [Array<Array>] verb, path, body
  def odd_bodies(verb, pattern, bodies)
    path = filled(pattern)
    fields = bodies.flat_map.with_index do |body, at|
      [ body, *mutations(body, odd_values(at + pattern.size)) ].map { |odd| [ verb, path, odd ] }
    end
    ids = QUERY.first(5).map { |odd| [ verb, pattern.gsub(/:\w+/) { odd.delete("/") }, bodies.first ] }
    [ *fields, *JUNK.map { |junk| [ verb, path, junk ] }, [ verb, path ], *(pattern.include?(":") ? ids : []) ]
  end

  test "writing routes with odd bodies" do
    known = bodies
    writing = routes.reject { |verb, _| verb == "GET" }
    assert_empty writing.map { |verb, path| "#{verb} #{path}" } - known.keys, "routes that this test does not know"
    all = writing.flat_map { |verb, pattern| odd_bodies(verb, pattern, known.fetch("#{verb} #{pattern}")) }
    TestShare.of(name, all).each { |verb, path, body| tried(verb, path, body) }
    assert_operator @sent, :>, TestShare.full? ? 7_000 : 200
  end

  def odd_queries(pattern)
    path = filled(pattern)
    fields = QUERY.flat_map { |odd| %w[face with piece copy view pass job_id sum format].map { |field| "?#{field}=#{odd}" } }
    ids = QUERY.first(6).map { |odd| pattern.gsub(/\(\/?:id\)/, "/x").gsub(/:\w+/) { odd }.squeeze("/") }
    [ "", *NESTED, *fields.each_slice(3).map(&:first) ].map { |query| path + query } + (pattern.include?(":") ? ids : [])
  end

  test "reading routes with odd ids and queries, as a page and as JSON" do
    paths = routes.select { |verb, _| verb == "GET" }.flat_map { |_, pattern| odd_queries(pattern) }
    all = paths.product([ "application/json", "text/html" ])
    TestShare.of(name, all).each { |path, accept| tried("GET", path, accept: accept) }
    assert_operator @sent, :>, TestShare.full? ? 3_000 : 150
  end

  test "files that are none" do
    files = [ "", "\u0000\u0001", "x", "[]", "{}", "[1]", "{\"products\":7}", "{\"products\":[null]}", "{\"products\":[{\"maker\":7,\"name\":[],\"class\":{}}]}", "{\"products\":[{\"maker\":\"M\",\"name\":\"N\",\"class\":\"shellac\",\"wet_um\":7,\"milestones_min\":[1],\"mix\":{\"a\":1},\"packs\":[[]],\"sources\":7}]}",
              "maker,name,class\n,,\n", "maker,name,class\n\"M,N\n", "time,t_c,rh\n", "time\n", "\xFF\xFE\x00".b, "CGATS.17\nBEGIN_DATA\n", "," * 5000, "\n" * 5000, JSON.generate(DEEP) ]
    [ "/products/import", "/shop/rooms/#{Room.first.id}/logger", "/boards/#{@board.id}/readings",
      "/photos" ].each do |path|
      files.each do |content|
        ApplicationRecord.transaction(requires_new: true) do
          post path, params: { client_id: "c1", file: Rack::Test::UploadedFile.new(StringIO.new(content), "text/plain", original_filename: "f.txt") }, headers: { "ACCEPT" => "application/json" }
          assert_operator response.status, :<, 500, "#{path} #{content.inspect.first(100)}: #{response.body.first(300)}"
          raise ActiveRecord::Rollback
        end
        Shelf.forget
      end
    end
  end
end
