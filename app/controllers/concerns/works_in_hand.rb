# One door for whatever changes a piece: its job is in hand, or the answer says why not and what opens it again. What is
# closed or put away can be read.
module WorksInHand
  extend ActiveSupport::Concern

  included { before_action :in_hand!, unless: -> { request.get? || request.head? } }

  class_methods do
    # Actions that may be done with what is closed, too.
    def leaves_closed(*actions) = skip_before_action(:in_hand!, only: actions)
  end

  private

  def in_hand! = Array(worked_on).each(&:in_hand!)

  # @return [Piece, Array<Piece>, nil] what a request works on
  def worked_on = nil
end
