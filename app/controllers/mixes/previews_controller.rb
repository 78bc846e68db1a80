# A mix as it would be: computed, not kept.
class Mixes::PreviewsController < ApplicationController
  takes :create, **Mix::Start::TAKES

  def create
    sheet = Mix::Start.preview(body)
    render json: Rhexon::Mixing::Request.sheet(sheet).merge("thinner_ml" => both_conventions(sheet))
  end

  private

  # The same per cent of the base and of the total, side by side.
  def both_conventions(sheet)
    percent = body.dig("thinning", "percent")
    percent &&
      %w[base total].select { |of| of == "base" || percent < 100 }.to_h do |of|
        [ of, Rhexon::Mixing::Thinning.thinner_ml(sheet.millilitres.first, percent, of: of).round ]
      end
  end
end
