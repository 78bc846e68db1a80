require "test_helper"

class StepUpTest < CoreTest
  OLD = {
    "format" => "rhexon-schedule/1", "room" => "bench", "steps" => [
      { "id" => "s1", "kind" => "sand", "grits" => [ "P150" ] },
      { "id" => "s2", "kind" => "stain", "product" => "filler", "method" => "spray", "strength_percent" => 50 },
      { "id" => "s3", "kind" => "stain", "product" => "russet", "method" => "wipe" },
      { "id" => "s4", "kind" => "level", "grits" => [ "P1200" ], "aim" => "rub_out", "while_soft" => true },
      { "id" => "s5", "kind" => "level", "grits" => [ "P320" ], "aim" => "between" }
    ]
  }.freeze

  def test_a_document_of_the_first_version_is_read_as_the_second
    read = Rhexon::Schedule::Document.check!(OLD, fillers: [ "filler" ])
    assert_equal "rhexon-schedule/2", read["format"]
    assert_equal %w[sand fill stain rub_out level], read["steps"].map { |step| step["kind"] }
    assert_equal({ "id" => "s2", "kind" => "fill", "product" => "filler", "method" => "wipe" }, read["steps"][1])
    assert_equal({ "id" => "s4", "kind" => "rub_out", "grits" => [ "P1200" ], "while_soft" => true }, read["steps"][3])
    assert_equal OLD["steps"].values_at(0, 2, 4), read["steps"].values_at(0, 2, 4)
    Rhexon::Schedule::Fitting.check_fields!(read)
  end

  def test_what_is_of_the_second_version_stays_and_the_first_is_held_to_its_own_schema
    new = document(step("s1", "rub_out", grits: [ "P1200" ]))
    assert_same new, Rhexon::Schedule::StepUp.document(new, [])
    polish = OLD.merge("steps" => [ step("s1", "polish", grits: [ "P1200" ]) ])
    error = refusal { Rhexon::Schedule::Document.check!(polish) }
    assert_match(/A step is sand, raise_grain/, error.message)
  end

  def test_a_shop_takes_both
    shop = ->(document) {
      Rhexon::Planning::Shop.new(shop_json(
        piece(document), products: [ *PRODUCTS, { "id" => "filler", "class" => "waterborne_filler" } ]
      ))
    }
    assert_equal %w[sand fill stain rub_out level],
                 shop.(OLD.except("room")).pieces.first.schedule["steps"].map { |step| step["kind"] }
  end
end
