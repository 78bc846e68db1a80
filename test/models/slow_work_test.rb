require "test_helper"

class SlowWorkTest < ActiveSupport::TestCase
  # Takes all places, until it is told to let go.
  def occupied
    go = Queue.new
    inside = Queue.new
    busy = Array.new(SlowWork::AT_ONCE) { Thread.new { SlowWork.turn { inside << true and go.pop } } }
    SlowWork::AT_ONCE.times { inside.pop }
    yield go
  ensure
    SlowWork::AT_ONCE.times { go << true }
    busy.each(&:join)
  end

  test "the next waits until a place is free, and has what it asked for" do
    occupied do |go|
      waiting = Thread.new { SlowWork.turn { :answer } }
      assert_nil waiting.join(0.1)
      go << true
      assert_equal :answer, waiting.value
    end
  end

  test "who waits too long is told so" do
    was = SlowWork::WAIT_S
    silence_warnings { SlowWork.const_set(:WAIT_S, 0.05) }
    occupied do
      assert_match(/busy with other long work/, assert_raises(SlowWork::Busy) { SlowWork.turn { :answer } }.message)
    end
  ensure
    silence_warnings { SlowWork.const_set(:WAIT_S, was) }
  end

  test "a newer question of the same page takes the place of one that waits, and no other's" do
    occupied do |go|
      asked = ->(name, of) { Thread.new { SlowWork.turn(of: of) { name } rescue $!.class } } # rubocop:disable Style/RescueModifier
      older = asked.(:older, "page-1 GET /chance")
      other = asked.(:other, "page-2 GET /chance")
      assert_nil older.join(0.1)
      newer = asked.(:newer, "page-1 GET /chance")
      assert_equal SlowWork::Superseded, older.value
      2.times { go << true }
      assert_equal %i[other newer], [ other.value, newer.value ]
    end
  end

  test "a place is free again after an error, and quick pages always find a thread" do
    assert_raises(ZeroDivisionError) { SlowWork.turn { 1 / 0 } }
    occupied { |go| go << true and assert_equal :answer, SlowWork.turn { :answer } }
    assert_operator Integer(Rails.root.join("config/puma.rb").read[/RAILS_MAX_THREADS", (\d+)/, 1]), :>,
                    SlowWork::AT_ONCE
  end
end
