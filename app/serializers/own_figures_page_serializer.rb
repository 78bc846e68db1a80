# What the shop's own log has taught, beside the sheets.
class OwnFiguresPageSerializer < ApplicationSerializer
  fields drying: "OwnDrying[]", noise: "{ sd: number; usual: number; coats: number; wanted: number }",
         plan_on: :string,
         pace: "Array<{ work: string; times: number; factor: number; low: number; high: number; m2_min: number; " \
               "counts: boolean; people: Array<{ person: string; times: number; factor: number; low: number; " \
               "high: number }> }>",
         said: "Array<{ id: string; work: string; factor: number }>", works: "Array<[string, string]>",
         said_range: "[number, number]",
         shares: "Array<{ what: string; ways: Array<{ way: string; times: number; factor: number; low: number; " \
                 "high: number; own: string; counts: boolean }> }>",
         rounds: "Array<{ words: string; loops: number; mean: number; most: number }>",
         drops: "Array<{ piece: string; drops: number[] }>", zone: :string
end
