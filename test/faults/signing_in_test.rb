require "minitest/autorun"
require "securerandom"
require_relative "../../core/test/test_share"
require_relative "../support/running_shop"

# A shop of one's own, in which nobody is believed: the first owner, the way in, the way back in, and what runs wild.
class SigningInTest < Minitest::Test
  def setup
    @shop = RunningShop.new("signing_in_#{Process.pid}_#{SecureRandom.hex(3)}", signs_in: true)
    @shop.make
    @shop.start(wait: "/sign_in")
  end

  def teardown
    @shop.kill
    @shop.remove
  end

  def set_password(name, typed)
    Open3.capture2e(@shop.env, File.join(RunningShop::ROOT, "bin/rhexon-shop"), "password", *name, stdin_data: typed,
                    chdir: RunningShop::ROOT)
  end

  def bench = @shop.get("/bench", accept: "text/html")
  def sign_in(password) = @shop.post("/sign_in", { name: "Imke", password: password })

  def test_a_shop_that_has_people_and_no_owner_gets_one_by_the_page_or_by_the_shell
    shut = bench
    assert_equal %w[302 /begin/owner], [ shut.code, URI(shut["Location"]).path ]
    assert_equal "401", @shop.get("/plan").code
    assert_equal "200", @shop.get("/begin/owner", accept: "text/html").code

    out, status = set_password([ "Nobody" ], "long enough\n")
    assert_equal [ 1, "There is nobody called Nobody here. Accepted: Imke.\n" ], [ status.exitstatus, out ]
    out, status = set_password([ "Imke" ], "short\n")
    assert_equal [ 1, "A password is 12 letters or more, up to 72 bytes.\n" ], [ status.exitstatus, out ]
    out, = set_password([ "Imke" ], "oil beneath water\n")
    assert_match(/\AImke \(owner\) signs in with it from now on/, out)

    assert_equal "/sign_in", URI(bench["Location"]).path
    assert_equal "422", sign_in("oil or even water").code
    assert_equal "200", sign_in("oil beneath water").code
    assert_equal "200", bench.code

    set_password([ "Imke" ], "water on top of oil\n")
    assert_equal "302", bench.code, "whoever had the old one is out"
    assert_equal "422", sign_in("oil beneath water").code
    assert_equal "200", sign_in("water on top of oil").code
  end

  def test_one_device_that_runs_wild_is_told_to_wait
    set_password([ "Imke" ], "oil beneath water\n")
    sign_in("oil beneath water")
    told = Array.new(40) { @shop.post("/pieces/file", { file: "x" }) }.last
    refute_equal "429", told.code
    told = @shop.post("/pieces/file", { file: "x" })
    assert_equal "429", told.code
    assert_match(/wait|again/i, @shop.sentence(told))
    assert_equal "200", bench.code, "the bench goes on"
  end

  TestShare.draw_tests(self, quick: 3, ci: 2)
end
