# A mix in hand.
class MixPageSerializer < ApplicationSerializer
  fields pot: "Pot", against: "Against[]", scale: "{ name: string; resolution_g: number; stand_in: boolean }"
end
