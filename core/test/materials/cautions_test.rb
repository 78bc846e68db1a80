require "test_helper"

class CautionsTest < CoreTest
  def cautions(klass, method = "spray", **work)
    Rhexon::Materials::Cautions.for(Rhexon::Materials::Product.new("id" => "p", "class" => klass), method, **work)
      .join(" ")
  end

  def of_work(kind, way = nil, **said)
    Rhexon::Materials::Cautions.for(nil, nil, kind: kind, way: way, **said).join(" ")
  end

  def test_each_danger_is_named_where_it_belongs
    assert_match(/catch fire hours later/, cautions("oil_varnish", "brush"))
    assert_match(/catch fire hours later/, cautions("hardwax_oil", "wipe"))
    assert_match(/catch fire hours later/, cautions("pigment_oil_stain", "wipe", kind: "stain"))
    assert_match(/isocyanates.*Supplied air/, cautions("waterborne_two_part"))
    assert_match(/formaldehyde/, cautions("acid_catalysed"))
    assert_match(/no flame/, cautions("shellac", "pad"))
    assert_match(/extraction/, of_work("sand", dust: true))
  end

  def test_none_is_named_where_it_does_not
    refute_match(/catch fire/, cautions("waterborne_one_part", "brush"))
    refute_match(/isocyanate/, cautions("waterborne_one_part"))
    assert_empty of_work("look")
    assert_empty cautions("water_dye", "wipe", kind: "stain")
  end

  def test_work_that_is_dangerous_by_itself_says_so
    assert_match(/dichloromethane.*lead/m, of_work("strip", "stripper"))
    assert_match(/Heat tools/, of_work("strip", "warm_scraping"))
    refute_match(/Heat tools|Strippers/, of_work("strip", "scraping"))
    assert_match(/goggles and gloves/, of_work("clean", "oxalic_rinse"))
    assert_match(/below the centre/, of_work("polish"))
    assert_empty of_work("clean", "vacuum")
  end

  def test_no_sentence_says_that_something_is_safe
    texts = Rhexon::Reference.cautions.cautions.map { |row| row["text"] }
    refute_match(/\bis safe\b|\bsafely\b|no danger/i, texts.join(" "))
  end
end
