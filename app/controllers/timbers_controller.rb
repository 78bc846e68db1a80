# Batches of timber that are unlike their kind.
class TimbersController < ApplicationController
  keeps_sound :create, :update
  takes :create, :update, name: :name, wood: :name, facts: :table, words: :words

  def create = keep!(Timber.new)
  def update = keep!(Timber.find(params[:id]))

  private

  def keep!(timber)
    timber.update!(body.slice("name", "wood", "facts", "words"))
    render json: { id: timber.id, timbers: Timber.order(:name).map(&:to_choice) }
  end
end
