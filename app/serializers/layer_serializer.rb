class LayerSerializer < ApplicationSerializer
  fields pass: :string, step: :string, number: :number, label: :string,
         look: "'clear' | 'amber' | 'tinted' | 'pigmented' | 'ambering' | 'found'", base_um: :number, wet_um: :number,
         dry_um: :number, left_um: :number, laid_at: :number, touch_at: :number, top: "Array<[number, number]>",
         unbonded: :boolean, laid_by: "'spray' | 'brush' | 'roller' | 'wipe' | 'pad'", texture_um: :number,
         smooth_at: [ :number, { nullable: true } ]
  many :strip, resource: StretchSerializer
end
