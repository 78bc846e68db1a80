# A look that a client is asked to approve, by link.
class GuestApprovalSerializer < ApplicationSerializer
  fields token: :string, for_name: [ :string, NULLABLE ]
  typelize piece: :string, board: :string, cell: :string, colour: [ :string, NULLABLE ], photo: :boolean,
           figures: "string[]", conditions: "string[]",
           approved: [ "{ name: string; light: string; at: number; stale: boolean }", NULLABLE ], zone: :string
  attribute(:piece) { |asked| asked[:cell].board.piece.name }
  attribute(:board) { |asked| asked[:cell].board.name }
  attribute(:cell) { |asked| asked[:cell].label }
  attribute(:colour) { |asked| (lab = Approval::Sheet.new(asked[:cell], "").shown_lab) && Rhexon::Colour::Lab.hex(lab) }
  attribute(:photo) { |asked| asked[:cell].photos.any? }
  attribute(:figures) { |asked| Approval::Sheet.new(asked[:cell], "").figures }
  attribute(:conditions) { |asked| Approval::Sheet.new(asked[:cell], "").conditions }
  attribute(:approved) do |asked|
    approval = Approval.for(asked[:cell].board.piece)
    if approval && approval.entry.cell_id == asked[:cell].id
      { name: approval.entry.body["name"], light: approval.entry.body["light"],
        at: approval.entry.happened_at.to_i / 60, stale: approval.stale? }
    end
  end
  attribute(:zone) { |_| Shop.current.zone }
end
