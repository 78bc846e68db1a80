require "test_helper"

class LookWordsTest < CoreTest
  def read(text) = Rhexon::Systems::LookWords.read(text)

  def test_a_look_as_it_is_written_on_a_job_sheet
    assert_equal({ "sheen" => [ 20, 35 ], "lab" => [ 40, 17, 27 ] }, read("Satin, warm brown"))
    assert_equal({ "sheen" => [ 20, 35 ], "pores" => "open", "lab" => [ 36, 26, 28 ] },
                 read("russet, satin, open pore"))
    assert_equal({ "sheen" => [ 35, 70 ], "opaque" => true }, read("off-white, semi-gloss"))
    assert_equal({ "sheen" => [ 85, 100 ], "lab" => [ 36, 24, 26 ] }, read("High gloss; reddish brown"))
    assert_equal({ "pale" => true }, read("natural"))
    assert_equal [ {}, {} ], [ read(nil), read("like the mantel") ]
  end
end
