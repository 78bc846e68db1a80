# What belongs to one piece and its schedule.
module OfPiece
  extend ActiveSupport::Concern
  include NamesPiece

  included { before_action :piece }

  private

  def schedule = piece.schedule
  def state = @state ||= ScheduleState.new(piece)

  # The face to draw; one that the piece has not is left to the page's first.
  def face = [ body["face"], query(:face) ].compact.find { |name| piece.faces.map(&:name).include?(name) }

  # @return [Hash] the edit that the page sent
  def operation
    given = body["operation"]
    raise Rhexon::InvalidInput.new("An edit is missing", where: "operation") unless given.is_a?(Hash)

    given
  end
end
