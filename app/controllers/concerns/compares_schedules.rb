# A piece and the schedules it is held against, as the address names them.
module ComparesSchedules
  extend ActiveSupport::Concern

  MOST = 3

  private

  # @return [Piece, nil] nil: nothing is in hand
  # @raise [Rhexon::InvalidInput] where its job is closed: there is no plan to hold schedules against
  def compared
    @compared ||= Access.named(Piece, query(:piece))&.tap(&:in_hand!) || Access.of(Piece.in_hand).order(:id).first
  end

  def comparison = Comparison.new(compared, wanted.first(MOST))

  # @return [Array<String>]
  def wanted = Array.wrap(params[:with]).select { |key| Given.text?(key, Given::NAME) }
end
