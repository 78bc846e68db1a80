# The plan that was made last, and what of.
# @!attribute around [Integer, nil] the piece that was placed anew between the others; nil: all were planned together
# @!attribute basis  [Rhexon::Planning::Plan] the plan that the others have stood as in ever since
ShopFloor::Last = Struct.new(:records, :heads, :plan, :around, :basis) do
  # The others of a piece stand as in it, however often that piece alone was placed anew.
  # @return [Rhexon::Planning::Plan]
  def basis_for(piece) = around == piece.id ? basis : plan
end
