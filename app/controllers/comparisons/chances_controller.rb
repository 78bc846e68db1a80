# How likely the dates of each schedule are that a piece is held against.
class Comparisons::ChancesController < ApplicationController
  include ComparesSchedules

  takes_long :show

  def show
    return missing unless compared

    render json: { chances: comparison.chances }
  end
end
