# Papers, pads, strainers, tape.
class ConsumablesController < ApplicationController
  keeps_sound :create, :update
  takes :create, :update, name: :name, unit: :name, pack: :number, price: :number, left: :number, wear: :table

  def create = keep(Consumable.new(wear: []))
  def update = keep(Consumable.find(params[:id]))

  private

  def keep(consumable)
    consumable.assign_attributes({
      **body.slice("name", "unit").transform_values { |value| value.to_s.strip },
      **body.slice("pack", "price", "left")
                                 })
    consumable.wear = wear if body["wear"]
    unless consumable.save
      raise Rhexon::InvalidInput.new(consumable.errors.first.message, where: consumable.errors.first.attribute.to_s)
    end

    render json: { consumable: ConsumableSerializer.new(consumable).to_h }
  end

  # @return [Array<Hash>] one row: what kinds of work, which grits or methods, how much a m² and a coat
  def wear
    row = body["wear"]
    raise Rhexon::InvalidInput.new("Wear is not understood", where: "wear") unless row.is_a?(Hash)

    lists = %w[kinds methods grits].to_h { |name| [ name, row[name].to_s.split(/[\s,]+/).presence ] }.compact
    numbers = %w[per_m2 per_coat].to_h do |name|
      [ name, row[name].present? ? Float(row[name].to_s.tr(",", "."), exception: false) : nil ]
    end
    if numbers.any? { |name, value| row[name].present? && (value.nil? || value.negative?) }
      raise Rhexon::InvalidInput.new("Wear is a number per m² or per coat", where: "wear", accepted: "0 or more")
    end

    [ lists.merge(numbers.compact) ]
  end
end
