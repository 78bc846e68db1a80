# All pieces over one clock.
class ShopPlanSerializer < ApplicationSerializer
  MARK = "{ key: string; piece: string; words: string; kind: string; from: number; to: number; status: string; " \
         "window: string; person: string | null; inserted: boolean }".freeze
  fields now: :number, zone: :string, goal: :string, first: :number, last: :number, open: "Array<[number, number]>",
         sessions: :number, hands_min: :number, clashes: "Array<{ piece: string; sentence: string }>",
         bound: "{ ready_at: number; because: string }", ready_at: [ :number, NULLABLE ]
  typelize strands: "Array<{ piece: string; job: string; due: number | null; ready_at: number | null; late_min: " \
                    "number; hands_min: number; marks: Array<#{MARK}>; film: Array<[number, number]>; blocked: " \
                    "boolean }>",
           lanes: "Array<{ person: string; open: Array<[number, number]>; flags: Array<{ key: string; piece: string; " \
                  "from: number; to: number; status: string }>; elsewhere: Array<[number, number]>; free: " \
                  "Array<[number, number]> }>",
           places: "Array<{ room: string; uses: string[]; wet: Array<[number, number]>; dusty: Array<[number, " \
                   "number]>; lying: Array<[number, number]>; rack_places: number | null }>",
           closings: "Array<{ key: string; piece: string; words: string; closes_at: number; met: boolean }>"
  attribute(:strands) { |plan| plan.strands.map { |strand| { **strand.to_h, marks: strand.marks.map(&:to_h) } } }
  attribute(:lanes) { |plan| plan.lanes.map { |lane| { **lane.to_h, flags: lane.flags.map(&:to_h) } } }
  attribute(:places) { |plan| plan.places.map(&:to_h) }
  attribute(:closings) { |plan| plan.closings.map(&:to_h) }
end
