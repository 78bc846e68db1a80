require "test_helper"

class CgatsTest < CoreTest
  Cgats = Rhexon::Colour::Cgats

  def sample(id, **fields) = Cgats::Sample.new(id: id, **fields)

  def test_colours_and_spectra_go_out_and_come_back
    spectrum = Array.new(31) { |index| (0.1 + index * 0.02).round(5) }
    text = Cgats.write([ sample("cell 4", lab: [ 34.9, 20.5, 23.3 ], spectrum: spectrum) ], created: "2026-11-23")
    back = Cgats.read(text)
    assert_equal [ "cell 4", [ 34.9, 20.5, 23.3 ], spectrum ], back.samples.first.to_h.values_at(:id, :lab, :spectrum)
    assert_equal [ "D65", "2", "Rhexon" ], [ back.light, back.observer, back.originator ]
    assert_equal text, Cgats.write(back.samples, created: "2026-11-23")
  end

  # As other instruments write it: carriage returns, comments, percents, steps of 20 nm, another light.
  def test_a_file_of_another_instrument
    bands = (380..720).step(20).to_a
    text = [ "CGATS.17", "# a comment", "ILLUMINANT \"D50\"", "OBSERVER \"10\"", "BEGIN_DATA_FORMAT",
             "SAMPLE_ID SAMPLE_NAME #{bands.map { |nm| "nm#{nm}" }.join(" ")}", "END_DATA_FORMAT",
             "BEGIN_DATA", "1 \"bare elm\" #{bands.map { |nm| nm / 10.0 }.join(" ")}", "END_DATA" ].join("\r\n")
    found = Cgats.read(text)
    assert_equal [ "D50", "10", "bare elm" ], [ found.light, found.observer, found.samples.first.id ]
    assert_in_delta 0.41, found.samples.first.spectrum[1], 1e-9, "410 nm lies between 40 and 42 %"
  end

  def test_what_is_wrong_is_said_by_its_line
    good = Cgats.write([ sample("a", lab: [ 50, 1, 2 ]) ])
    { good.sub("50.0000", "fifty") => /Line 10 says "fifty" for LAB_L/,
      good.sub("50.0000", "150") => /Line 10 has no colour/, good.sub("a\t50", "50") => /Line 10 has 3 values/,
      "hello" => /no data format/, good.sub("END_DATA_FORMAT",
                                            "") => /has no END_DATA_FORMAT/, good.gsub(
                                              "LAB_", "RGB_"
                                            ) => /neither L\*a\*b\* nor a spectrum/ }.each do |text, wanted|
      assert_match(wanted, refusal { Cgats.read(text) }.message)
    end
  end
end
