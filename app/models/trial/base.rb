# The schedule that a trial begins with.
class Trial::Base
  NOT_VARIED = %w[wait look].freeze

  # @param piece [Piece]
  def initialize(piece)
    @piece = piece
  end

  # @return [Array<Hash>] what can be varied, in words
  def steps
    @piece.layers.reject { |step| NOT_VARIED.include?(step["kind"]) }.map do |step|
      {
        id: step["id"], kind: step["kind"],
        words: Rhexon::Schedule::Words.step(step, Shelf.products[step["product"]]&.name), step: step
      }
    end
  end
end
