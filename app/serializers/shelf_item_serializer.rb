# A product as the step form offers it: with the kinds of step that may use it, and how.
class ShelfItemSerializer < ApplicationSerializer
  TINTED = Rhexon::Schedule::Kinds.laying.select { |kind| Rhexon::Schedule::Kinds.fields(kind).include?("tint") }.freeze
  typelize id: :string, name: :string, role: :string, mechanism: :string, fits: "Record<string, string[]>",
           retired: :boolean, wet_um: "Record<string, number>", solids_volume_percent: [ :number, { nullable: true } ],
           estimate: :boolean, cut_lb_per_gal: [ :number, { nullable: true } ], fills: "'filler' | 'slurry'",
           tints: "string[]"
  attribute(:id) { |product| product.id }
  attribute(:name) { |product| product.name }
  attribute(:role) { |product| product.role }
  attribute(:mechanism) { |product| product.mechanism }
  attribute(:fits) do |product|
    Rhexon::Schedule::Kinds.laying
      .to_h { |kind| [ kind, Rhexon::Schedule::Kinds.methods(kind, product) ] }
      .reject { |_, methods| methods.empty? }
      .merge(Rhexon::Schedule::Kinds.carries?("mend", product) ? { "mend" => [] } : {})
  end
  attribute(:fills) { |product| Rhexon::Schedule::Kinds.natures(product).include?("filler") ? "filler" : "slurry" }
  attribute(:tints) do |product|
    if TINTED.any? { |kind| Rhexon::Schedule::Kinds.methods(kind, product).any? } ||
        Rhexon::Schedule::Kinds.carries?("mend", product)
      Rhexon::Schedule::Kinds.tints(product, Shelf.products.values).map(&:id)
    else
      []
    end
  end
  attribute(:retired) { |product| product.retired? }
  attribute(:wet_um) { |product| product.methods_known.to_h { |method| [ method, product.wet_um(method).value ] } }
  attribute(:solids_volume_percent) { |product| product.solids_volume_percent&.value }
  attribute(:estimate) { |product| product.solids_volume_percent.nil? || product.solids_volume_percent.estimate }
  attribute(:cut_lb_per_gal) do |product|
    if product.class_id == "shellac"
      Rhexon::Mixing::Cut.of_solids(product.solids_volume_percent.value).lb_per_gal.round(2)
    else
      nil
    end
  end
end
