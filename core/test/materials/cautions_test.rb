require "test_helper"

class CautionsTest < CoreTest
  def cautions(klass, method = "spray", kind: "coat")
    Rhexon::Materials::Cautions.for(kind, Rhexon::Materials::Product.new("id" => "p", "class" => klass),
                                    method).join(" ")
  end

  def test_each_danger_is_named_where_it_belongs
    assert_match(/catch fire hours later/, cautions("oil_varnish", "brush"))
    assert_match(/catch fire hours later/, cautions("hardwax_oil", "wipe"))
    assert_match(/catch fire hours later/, cautions("pigment_oil_stain", "wipe", kind: "stain"))
    assert_match(/isocyanates.*Supplied air/, cautions("waterborne_two_part"))
    assert_match(/formaldehyde/, cautions("acid_catalysed"))
    assert_match(/no flame/, cautions("shellac", "pad"))
    assert_match(/extraction/, Rhexon::Materials::Cautions.for("sand", nil, nil).join)
  end

  def test_none_is_named_where_it_does_not
    refute_match(/catch fire/, cautions("waterborne_one_part", "brush"))
    refute_match(/isocyanate/, cautions("waterborne_one_part"))
    assert_empty Rhexon::Materials::Cautions.for("look", nil, nil)
    assert_empty cautions("water_dye", "wipe", kind: "stain")
  end

  def test_no_sentence_says_that_something_is_safe
    texts = Rhexon::Reference.cautions.cautions.map { |row| row["text"] }
    refute_match(/\bis safe\b|\bsafely\b|no danger/i, texts.join(" "))
  end
end
