require "test_helper"

# Answers that tests of components draw from, as the server gives them: what stands in test/frontend/recorded is what
# is answered today. RHEXON_RECORD=1 writes them anew.
class RecordedAnswersTest < RequestTest
  FOLDER = Rails.root.join("test/frontend/recorded")

  setup { set_up_shop }

  def recorded(name, answer)
    file = FOLDER.join("#{name}.json")
    told = "#{JSON.pretty_generate(answer)}\n"
    file.write(told) if ENV["RHEXON_RECORD"]
    assert_equal file.read, told,
                 "#{name} is answered otherwise now: RHEXON_RECORD=1 bin/test test/requests/recorded_answers_test.rb " \
                 "writes it anew; look at what changed"
  end

  def bench
    get "/bench"
    props.slice("bench", "pieces", "read")
  end

  def sheet(piece)
    get "/pieces/#{piece.id}/schedule"
    props.slice("sheet", "aside")
  end

  test "a film that is closed to the next coat, and one that is not open yet" do
    shut = make_piece(steps: [ coat("s1", coats: 2) ])
    log(shut, "s1/1/top", "done", 14.hours.ago)
    soon = make_piece(name: "Stool", steps: [ coat("s1", coats: 2) ])
    log(soon, "s1/1/top", "done", 20.minutes.ago)
    recorded("bench-drying", bench)
  end

  test "a coat that is laid by its marks" do
    make_piece(steps: [ coat("s1", coats: 2, pattern: "moving_start") ])
    recorded("bench-marks", bench)
  end

  test "a schedule that is thin for its use, one that has no date, and one that is fine" do
    recorded("schedule-thin", sheet(make_piece(steps: [ coat("s1", coats: 2, wet_um: 55) ], use: "table_top")))
    recorded("schedule-fine", sheet(make_piece(name: "Door", steps: [ coat("s1", coats: 4) ])))
    Room.first.update!(t_c: 3)
    Product.create!(code: "varnish", maker: "Marram", name: "bar varnish", kind: "oil_varnish", role: "top coat")
    frost = make_piece(name: "Frost", use: "bar_top",
                       steps: [ coat("s1", product: "varnish", method: "brush", wet_um: 40, coats: 2) ])
    recorded("schedule-frost", sheet(frost))
  end
end
