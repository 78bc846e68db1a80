# A can, jar or mix on the shelf.
class BatchSerializer < ApplicationSerializer
  fields id: :number, code: :string, name: :string, state: "'sealed' | 'opened' | 'mixed' | 'catalysed'",
         left_g: :number, lot: [ :string, NULLABLE ], boxed: :boolean, kept: :boolean
  typelize product_id: [ :number, NULLABLE ], product_code: [ :string, NULLABLE ], mix_id: [ :number, NULLABLE ],
           made_on: [ :string, NULLABLE ], opened_on: [ :string, NULLABLE ], expires_on: [ :string, NULLABLE ],
           usable_until: [ :number, NULLABLE ], days_left: [ :number, NULLABLE ], first_g: :number, look: :string,
           discarded: :boolean, smear: :boolean, density_g_per_ml: :number
  attribute(:product_id) { |batch| batch.product_id }
  attribute(:product_code) { |batch| batch.product&.code }
  attribute(:mix_id) { |batch| batch.mix_id }
  attribute(:made_on) { |batch| batch.made_on&.iso8601 }
  attribute(:opened_on) { |batch| batch.opened_on&.iso8601 }
  attribute(:expires_on) { |batch| batch.expires_on&.iso8601 }
  attribute(:usable_until) { |batch| batch.usable_until && batch.usable_until.to_i / 60 }
  attribute(:days_left) { |batch| batch.expires_on && (batch.expires_on - params[:today]).to_i }
  attribute(:first_g) { |batch| batch.received_g }
  attribute(:look) { |batch| batch.look }
  attribute(:discarded) { |batch| !batch.discarded_at.nil? }
  attribute(:smear) { |batch| batch.smear_first?(params[:today]) }
  attribute(:density_g_per_ml) { |batch| batch.density_g_per_ml }
end
