# Cells of CSV files that people open in a spreadsheet, which runs what looks like a formula.
module Spreadsheet
  # Also as wide letters, which some read as the plain ones, and a bar.
  RUNS = /\A[=+\-@\t\r|＝＋－＠]/
  NUMBER = /\A[+-]?\d+([.,]\d+)?\z/

  module_function

  # @return [String, Numeric, nil] with an apostrophe before what would be run; plain numbers are no formula
  def harmless(cell)
    text = cell.to_s
    text.match?(RUNS) && !text.match?(NUMBER) ? "'#{text}" : cell
  end

  # @return [String] what was there before
  def bare(cell) = cell.to_s.strip.sub(/\A'(?=[=+\-@|＝＋－＠])/, "")
end
