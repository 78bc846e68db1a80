# A mix on paper.
class Mixes::SheetsController < ApplicationController
  include OfMix

  def show
    paper = Mix::Paper.new(Mix::PotState.new(mix), paper: query(:paper), url: mix_url(mix))
    send_data paper.pdf, filename: "pour-sheet-#{mix.id}.pdf", type: "application/pdf", disposition: "inline"
  end
end
