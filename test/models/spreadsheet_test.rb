require "test_helper"

# Cells that a spreadsheet would run.
class SpreadsheetTest < ActiveSupport::TestCase
  test "what looks like a formula is stopped, also in wide letters and behind a bar, and a number is none" do
    %w[=1+1 +cmd -cmd @SUM ＝1+1 ＋1 －a ＠x |calc].each do |cell|
      assert_equal "'#{cell}", Spreadsheet.harmless(cell)
      assert_equal cell, Spreadsheet.bare(Spreadsheet.harmless(cell))
    end
    [ "-1.5", "+3", "12,5", 7, nil, "Desk top", "a=b" ].each do |cell|
      cell.nil? ? assert_nil(Spreadsheet.harmless(cell)) : assert_equal(cell, Spreadsheet.harmless(cell))
    end
  end
end
