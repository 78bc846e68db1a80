# The day on paper, for one person or for all of them.
class Days::SheetsController < ApplicationController
  def show
    paper = Bench::Paper.new(DayState.new.to_h.symbolize_keys, person: query(:person), paper: query(:paper),
url: bench_url)
    send_data paper.pdf, filename: "day-sheet.pdf", type: "application/pdf", disposition: "inline"
  end
end
