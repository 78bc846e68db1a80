# The shop as its page shows it.
class ShopPageSerializer < ApplicationSerializer
  fields rooms: "RoomAir[]", hand_instruments: "HandInstrument[]", airs: "string[]", trained_work: "string[]",
         tools: "Array<{ id: number; name: string; used_for: string }>", uses: "string[]",
         house: "Record<string, string | number>",
         judged: "Array<{ check: string; as: Ruling['as']; reason: string }>"
  typelize report: [ "{ hours: number; refused: number; first_refused: string | null }", { optional: true } ]
  attribute(:report, if: ->(page, _) { page.key?(:report) }) { |page| page[:report] }
  many :people, resource: PersonHoursSerializer
  one :shop_hours, resource: HoursSerializer
end
