# What promoting a cell would change, or why it cannot be, before it is done.
class Cells::PromotionPreviewsController < ApplicationController
  include PromotesCell

  takes :create, **PromotesCell::TAKES

  def create
    result = promoted
    Schedule::FrozenPasses.new(piece, piece.schedule.document).check!(result.document)
    sheet = ScheduleState.new(piece).sheet(nil, result.document)
    render json: { differences: result.differences, cautions: result.cautions, steps: result.document["steps"].size,
                   sheet: sheet.slice("ready_at", "hands_min", "zone"), against: against(sheet),
                   replaces: piece.schedule.steps.size }
  end

  private

  def against(sheet)
    told = sheet["findings"].reject { |finding| finding["level"] == "note" }
    told.map { |finding| finding.slice("level", "title", "sentence") }
  end
end
