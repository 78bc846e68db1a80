# How many findings of each level stand against a piece.
module Piece::Levels
  module_function

  # @param plan [Rhexon::Planning::Plan]
  # @param piece [Piece]
  # @return [Hash{String=>Integer}] by level, none left out but those without any
  def of(plan, piece) = Rhexon::Checks::Catalogue.findings(plan, piece.core_id).map(&:level).tally
end
