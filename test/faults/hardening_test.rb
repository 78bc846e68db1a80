require "minitest/autorun"
require "securerandom"
require_relative "../../core/test/test_share"
require_relative "../support/running_shop"

# What the shop's computer answers to, and how: names, headers, files.
class HardeningTest < Minitest::Test
  def self.shop(**more)
    RunningShop.new("hardening_#{Process.pid}_#{SecureRandom.hex(3)}", **more).tap do |one|
      Minitest.after_run do
        one.kill
        one.remove
      end
      one.make
    end
  end

  # One server for all that only ask it.
  def self.running = @running ||= shop(RHEXON_HOSTS: "shop.example, tablet.example").start

  def setup = @shop = self.class.running

  # A page of another name that is made to lead here would read the shop, and write other addresses on labels.
  def test_it_answers_to_its_own_names_alone
    %w[localhost 127.0.0.1 192.168.7.20 shop.example tablet.example].each do |name|
      assert_equal "200", @shop.get("/bench", Host: name).code, name
    end
    %w[evil.example shop.example.evil.example 8.8.8.8].each do |name|
      refused = @shop.get("/bench", Host: name)
      assert_equal "403", refused.code, name
      assert_match(/does not answer to this name/, @shop.sentence(refused))
    end
    assert_equal "403", @shop.get("/", Host: "localhost", X_Forwarded_Host: "evil.example").code
    told = @shop.get("/bench", accept: "text/html", Host: "evil.example")
    assert_match(/does not answer to this name/, told.body)
    refute_match(/Test yard|Desk top/, told.body)
  end

  def test_what_is_sent_is_taken_for_what_it_is
    page = @shop.get("/bench", accept: "text/html")
    policy = page["Content-Security-Policy"]
    [ /default-src 'self'/, /form-action 'self'/, /base-uri 'none'/, /frame-ancestors 'none'/ ].each do |rule|
      assert_match rule, policy
    end
    assert_match(/style-src 'self' 'nonce-[^']+'(;|\z)/, policy)
    refute_match(/unsafe/, policy)
    assert_match(/camera=\(\).*microphone=\(\)/, page["Permissions-Policy"])
    assert_equal "noindex, nofollow", page["X-Robots-Tag"]
    asset = page.body[%r{/vite/assets/[^"]+\.js}]
    file = @shop.get(asset, accept: "*/*")
    assert_equal %w[200 nosniff], [ file.code, file["X-Content-Type-Options"] ]
    assert_match(/default-src 'none'/, file["Content-Security-Policy"])
  end

  UNREADABLE = {
    "application/x-www-form-urlencoded" => [ "\xff\xfe\x00", "a=\xff", "{\"a\":\"\xff\"}" ],
    "multipart/form-data" => [ "\xff\xfe\x00" ],
    "multipart/form-data; boundary=x" =>
      [ "--x\r\nContent-Disposition: form-data; name=\"\xff\"\r\n\r\nb\r\n--x--\r\n" ],
    "application/json" => [ "\xff\xfe\x00", "{", "{\"a\":\"\xff\"}" ]
  }.freeze

  def raw(line, head, body = "")
    TCPSocket.open("127.0.0.1", @shop.port) do |socket|
      socket.write("#{line} HTTP/1.1\r\nHost: localhost\r\nConnection: close\r\n#{head}\r\n\r\n".b + body.b)
      socket.read
    end
  end

  # By nobody, to whatever address: what cannot be read is told so, and is no fault of the shop's computer.
  def test_a_request_that_cannot_be_read_is_refused_in_words
    %w[/sign_in /entries /begin /readings /pieces/1/schedule/edits /guest/abc/approval].each do |path|
      UNREADABLE.each do |type, bodies|
        bodies.each do |body|
          answer = raw("POST #{path}", "Content-Type: #{type}\r\nContent-Length: #{body.bytesize}", body)
          # JSON is read after it is clear who asks.
          wanted = type.include?("json") ? %r{\AHTTP/1\.1 40[013]} : %r{\AHTTP/1\.1 400.*cannot be read}m
          assert_match(wanted, answer, "#{path} #{type} #{body.inspect}")
        end
      end
      assert_match(%r{\AHTTP/1\.1 400}, raw("POST #{path}", "Transfer-Encoding: chunked", "#{"f" * 16}\r\nx"), path)
    end
    [ "/bench?%ff=%fe", "/bench?a=1&a[b]=2", "/%ff", "/bench?#{"a" + "[b]" * 200}=1" ].each do |path|
      assert_match(%r{\AHTTP/1\.1 400}, raw("GET #{path}", "Accept: */*"), path)
    end
  end

  def test_behind_a_proxy_with_tls_it_is_asked_for_by_tls_alone
    @shop = self.class.shop(FORCE_SSL: "1").start
    plain = @shop.get("/sign_in", accept: "text/html")
    assert_equal %w[301 https], [ plain.code, URI(plain["Location"]).scheme ]
    safe = @shop.get("/sign_in", accept: "text/html", X_Forwarded_Proto: "https")
    assert_match(/max-age=\d{8}/, safe["Strict-Transport-Security"])
    assert(safe.get_fields("set-cookie").all? { |cookie| cookie.match?(/; secure/i) }, safe["set-cookie"])
  end

  def test_where_a_request_says_it_comes_from_breaks_nothing
    said = { Client_Ip: "1.1.1.1", X_Forwarded_For: "2.2.2.2, nowhere" }
    assert_includes %w[200 302], @shop.get("/sign_in", accept: "text/html", **said).code
  end

  def test_a_proxy_that_is_no_address_is_told
    assert_match(/RHEXON_PROXY: "nonsense" is no address/, @shop.fails("runner", "1", RHEXON_PROXY: "nonsense"))
  end

  # Whose work it is stands in no log, however talkative it is.
  def test_names_stand_in_no_log
    out = @shop.rails("runner", "puts Rails.application.config.filter_parameters.inspect")
    %w[client name words token].each { |name| assert_includes out, ":#{name}" }
  end

  TestShare.draw_tests(self, quick: 3, ci: 2)
end
