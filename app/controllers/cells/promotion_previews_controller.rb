# What promoting a cell would change, or why it cannot be, before it is done.
class Cells::PromotionPreviewsController < ApplicationController
  include PromotesCell

  takes :create, **PromotesCell::TAKES

  def create
    result = promoted
    Schedule::FrozenPasses.new(piece, piece.schedule.document).check!(result.document)
    state = ScheduleState.new(piece)
    sheet = state.sheet(nil, result.document)
    render json: { differences: result.differences, cautions: result.cautions, steps: result.document["steps"].size,
                   sheet: sheet.slice("ready_at", "hands_min", "zone"),
                   against: [ promise(state.chance_with(result.document)), *against(sheet) ].compact,
                   replaces: piece.schedule.steps.size }
  end

  private

  def promise(chance)
    if chance&.no_promise
      { level: "stop", title: "Cannot be promised",
        sentence: "This schedule will probably miss the due date." }
    elsif chance&.unsure
      { level: "caution", title: "May be late", sentence: "This schedule may miss the due date." }
    end
  end

  def against(sheet)
    told = sheet["findings"].reject { |finding| finding["level"] == "note" }
    told.map { |finding| finding.slice("level", "title", "sentence") }
  end
end
