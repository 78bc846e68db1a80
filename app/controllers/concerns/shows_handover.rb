# What is handed over of some pieces: as a page, as a sheet on paper, and its dates as a calendar.
module ShowsHandover
  private

  # @param state [HandoverState]
  # @param url [String] that the paper leads back to
  def show_handover(state, url)
    respond_to do |format|
      format.html { page(page_name, HandoverPageSerializer, state.to_h) }
      format.pdf do
        care_alone = query(:only) == "care"
        send_data Handover::Paper.new(state, care_alone: care_alone, paper: query(:paper), url: url).pdf,
                  filename: "#{care_alone ? "care" : state.file}.pdf", type: "application/pdf", disposition: "inline"
      end
      format.ics do
        send_data Handover::Calendar.new(state).to_s, filename: "#{state.file}.ics",
type: "text/calendar; charset=utf-8"
      end
    end
  end
end
