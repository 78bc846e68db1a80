# What the hand does to one mix, each with an id and a time made by the page; the answer is its pot.
module OfMix
  extend ActiveSupport::Concern

  included { before_action :mix }

  private

  def mix = @mix ||= Access.named(Mix, params[:mix_id])
  def desk = Mix::Desk.new(mix)
  def touch = { client_id: body["client_id"], happened_at: instant(body["happened_at"]) }
  def answer = render(json: { pot: PotSerializer.new(Mix::PotState.new(mix.reload)).to_h })
end
