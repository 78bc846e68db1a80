# What the colour desk begins with.
class ColourPageSerializer < ApplicationSerializer
  fields woods: "string[]", colourants: "Array<{ id: string; name: string; hex: string; concentrate: boolean }>",
         cells: "Array<{ id: number; words: string; lab: [number, number, number]; wood: string }>",
         pieces: "Array<{ id: number; words: string; lab: [number, number, number]; wood: string }>", scale_g: :number,
         work: [ "{ step: string; kind: string; lab: [number, number, number] | null }", NULLABLE ],
         works: "Array<{ id: number; words: string; wood: string }>",
         says: :string,
         taught: "Array<{ product: string; name: string; strength: number; used: boolean; readings: number; " \
                 "before: number; after: number; range: [number, number] }>",
         photos: "Photo[]"
  many :lights, resource: LightChoiceSerializer
end
