require "test_helper"

# What comes back, and hours and money: counted from the log by hand.
class RecordViewsTest < RequestTest
  setup { set_up_shop }

  def laid(name, times, faulty: 0, person: "Imke")
    piece = make_piece(name: name, steps: [ coat("s1", coats: times) ])
    times.times do |index|
      at = (200 - index * 4).hours.ago
      log(piece, "s1/#{index + 1}/top", "started", at, { "person" => person })
      log(piece, "s1/#{index + 1}/top", "done", at + 30.minutes)
      log(piece, "s1/#{index + 1}/top", "fault", at + 40.minutes, { "fault" => "runs" }) if index < faulty
    end
    piece
  end

  test "faults are told by what stands out beyond chance, and by one fault alone" do
    Person.create!(name: "Osei", skills: [])
    laid("Door", 10, faulty: 8, person: "Osei")
    laid("Top", 12)
    get "/record/recurs"
    assert_equal [ 22, 8 ], props["whole"].values_at("works", "faulty")
    assert_equal [ "runs", 8 ], props["faults"].sole.values_at("id", "faulty")
    by = props["kinds"].to_h { |kind| [ kind["by"], kind["groups"].to_h { |one| one.values_at("value", "told") } ] }
    assert_equal({ "Osei" => "more", "Imke" => "less" }, by["person"])
    assert_not by.key?("product"), "all of it is one product"
    get "/record/recurs?fault=fish_eyes"
    assert_equal 0, props["whole"]["faulty"]
    get "/record/recurs?fault=nonsense"
    assert_nil props["fault"]
  end

  test "an empty record has nothing that comes back, and no hours" do
    get "/record/recurs"
    assert_empty props["faults"]
    get "/record/hours"
    assert_empty props["jobs"]
  end

  test "hours of jobs, what they took and what was given, closed jobs too" do
    Shop.current.terms!({ "rate_per_h" => 60 })
    piece = laid("Top", 2)
    QuoteState.new(piece).give!
    get "/record/hours"
    job = props["jobs"].sole
    gear = Rhexon::Reference.hands.cleanup_min.fetch("spray")
    assert_equal 2 * (30 + gear), job["real_min"]
    assert_in_delta job["given"], job["price"], 0.01
    phase = props["phases"].sole
    assert_equal [ "Build", false ], phase.values_at("name", "known")
    assert_in_delta job["real_min"] / job["done_min"].to_f, phase["factor"], 0.02
    piece.job.update!(closed_at: Time.current)
    get "/record/hours"
    assert_equal [ true, job["real_min"] ], props["jobs"].sole.values_at("closed", "real_min")
  end
end
