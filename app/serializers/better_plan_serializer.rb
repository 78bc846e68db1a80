# What another plan of the shop would gain, and what it moves.
class BetterPlanSerializer < ApplicationSerializer
  # Pieces that would be ready by the date asked for; minutes that pieces are ready sooner in the mean; minutes of
  # hands; chance of the date that is kept least surely, now and then; pieces with when they are ready now and then.
  fields dates: "string[]", ready_min: :number, hands_min: :number, chance: [ "[number, number]", NULLABLE ],
         ready: "Array<[string, number, number]>"
  typelize moves: "Moved[]"
  attribute(:moves) do |better|
    Rhexon::Picture::Moved.new(better.other).told(better.moves).map { |row| MovedSerializer.new(row).to_h }
  end
end
