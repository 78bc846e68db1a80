require "test_helper"
require "minitest/mock"

# A write that plans depend on is kept only if everything can be planned, checked and drawn afterwards.
class SoundChangeTest < ActiveSupport::TestCase
  setup do
    set_up_shop
    @piece = make_piece(steps: [ coat("s1") ])
  end

  test "what can be planned and drawn is kept, and the floor it was planned on comes back" do
    floor = SoundChange.keep! { @piece.job.update!(client: "Another") }
    assert_equal "Another", @piece.job.reload.client
    assert_equal [ @piece ], floor.pieces
  end

  test "what cannot be planned is refused with its sentence, and nothing is kept" do
    error = assert_raises(Rhexon::InvalidInput) { SoundChange.keep! { Room.update_all(name: "elsewhere") } }
    assert_match(/\ADesk top: The schedule names a room that is not there: bench/, error.message)
    assert_equal [ "bench" ], Room.pluck(:name)
  end

  test "what was not foreseen is refused with a number that stands in the log" do
    log = StringIO.new
    Rhexon::Picture::Section.stub(:new, ->(*) { raise ZeroDivisionError, "divided by 0" }) do
      Rails.stub(:logger, ActiveSupport::Logger.new(log)) do
        error = assert_raises(Rhexon::InvalidInput) { SoundChange.keep! { @piece.job.update!(client: "Another") } }
        number = error.message[/error ([A-Z0-9]{6})/, 1]
        assert_match(/Error #{number}: ZeroDivisionError/, log.string)
      end
    end
    assert_not_equal "Another", @piece.job.reload.client
  end

  test "a figure that is no number is not kept" do
    Rhexon::Planning::Growth.stub(:for, ->(*) { [ [ 0, Float::NAN ] ] }) do
      assert_raises(Rhexon::InvalidInput) { SoundChange.keep! { @piece.job.update!(client: "Another") } }
    end
    assert_not_equal "Another", @piece.job.reload.client
  end

  test "a piece that was set aside before does not stop changes of others" do
    other = make_piece(name: "Stool", steps: [ coat("s1") ])
    poison(other)
    SoundChange.keep! { @piece.job.update!(client: "Another") }
    assert_equal "Another", @piece.job.reload.client
    assert_equal [ other ], ShopFloor.new.aside.map(&:piece)
  end

  test "trouble of the database is passed on as it is" do
    busy = ActiveRecord::StatementInvalid.new("busy").tap do |error|
      error.define_singleton_method(:cause) { SQLite3::BusyException.new("database is locked") }
    end
    error = assert_raises(ActiveRecord::StatementInvalid) { SoundChange.keep! { raise busy } }
    assert Trouble.of_database?(error)
    assert_match(/busy just now/, Trouble.database_sentence(error))
  end

  test "each trouble of disk and file has its own sentence" do
    { SQLite3::FullException => /full/, SQLite3::ReadOnlyException => /only be read/,
      SQLite3::CorruptException => /damaged/, SQLite3::NotADatabaseException => /damaged/,
      SQLite3::CantOpenException => /cannot be opened/, SQLite3::IOException => /cannot be opened/,
      ActiveRecord::ConnectionTimeoutError => /busy/ }.each do |kind, sentence|
      assert_match sentence, Trouble.database_sentence(kind.new("x"))
    end
    assert_not Trouble.of_database?(ArgumentError.new("x"))
  end

  # Remedies that have to be planned are for whoever looks at them.
  test "a write plans no remedies, however many pieces are late" do
    Room.create!(name: "loft", t_c: 22, rh: 45)
    pieces = Array.new(3) { |at| make_piece(name: "Late #{at}", steps: [ coat("s1", coats: 4) ]) }
    Job.update_all(due_at: 1.hour.from_now)
    planned = 0
    remedy = Rhexon::Planning::Plan.instance_method(:with_schedule)
    TracePoint.new(:call) { planned += 1 }.enable(target: remedy) do
      SoundChange.keep! { Room.first.update!(t_c: 19) }
      late = pieces.map { |piece|
        Rhexon::Checks::Catalogue.findings(ShopFloor.new.plan, piece.core_id).find { |finding|
          finding.id == "time.due"
        }
      }
      assert_equal [ true ] * 3, late.map(&:behind?)
      assert_equal 0, planned
      assert_operator late.first.remedies.size, :>, 1
      assert_operator planned, :>, 0
    end
  end
end
