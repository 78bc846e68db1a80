# How a spot that is cut out and patched will look.
class PatchSerializer < ApplicationSerializer
  fields spot_mm: :number, cut_mm: :number, patch_mm: :number, lines: :number, words: :string
  typelize rings: "Array<{ from_mm: number; to_mm: number; um: number; product: string; line: boolean }>"
  attribute(:rings) { |patch| patch.rings.map(&:to_h) }
  typelize blends: "boolean"
  attribute(:blends, &:blends?)
end
