# The plan that was made last, and what of.
# @!attribute places [Array<Hash>] that the plan that is kept had
ShopFloor::Last = Struct.new(:records, :heads, :places, :plan)
