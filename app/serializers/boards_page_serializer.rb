# A page of the boards, newest first.
class BoardsPageSerializer < ApplicationSerializer
  fields words: :string
  typelize look_again: "Array<{ id: number; name: string; days: number; on: string }>", look_again_more: :number
  attributes :look_again, :look_again_more
  many :boards, resource: BoardCardSerializer
  one :page, resource: ListPageSerializer
end
