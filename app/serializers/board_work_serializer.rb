# The cells of a board as one piece of work.
class BoardWorkSerializer < ApplicationSerializer
  fields passes: "Array<{ words: string; cells: string; masked: string }>", mask_moves: :number,
         amounts: "Array<{ name: string; ml: number }>",
         making: [ "{ piece_id: number; passes: number; done: number }", NULLABLE ]
end
