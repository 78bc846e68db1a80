# All boards.
class BoardsPageSerializer < ApplicationSerializer
  fields boards: "Board[]", look_again: "Array<{ id: number; name: string; days: number; on: string }>"
end
