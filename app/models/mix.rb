# A mix in the pot: what is to be poured, for which passes. What was poured is in the log; this only says what for.
class Mix < ApplicationRecord
  include RenamesRecord

  # Made of maker and name.
  def self.most_letters(column) = column == "name" ? WORDS : super

  belongs_to :product, optional: true
  belongs_to :room, optional: true
  has_one :batch, dependent: :restrict_with_error
  has_many :entries, dependent: :restrict_with_error

  scope :open, -> { where(closed_at: nil) }

  # @return [Rhexon::Mixing::PourSheet]
  def sheet
    @sheet ||= Rhexon::Mixing::PourSheet.new(Rhexon::Mixing::Recipe.new(priced), want, resolution_g: resolution_g)
  end

  # @return [Array<Entry>] pours that stand, in the order they happened
  def pours
    @pours ||= entries.uncorrected.where(kind: "poured").order(:happened_at, :id).to_a
  end

  # What is in the pot of each component; splitting a pot takes some out again.
  # @return [Array<Hash>] {"name", "g"}, in the order they went in
  def poured
    pours.group_by { |entry| entry.body["name"] }.map do |name, entries|
      { "name" => name, "g" => entries.sum { |entry| entry.body["g"] }.round(2) }
    end
  end

  # The same mix with nothing in it.
  # @return [Mix]
  def twin!(**changes)
    self.class.create!(**attributes.symbolize_keys.except(:id, :created_at, :updated_at, :closed_at), **changes)
  end

  # @return [Rhexon::Mixing::Correction]
  def correction
    @correction ||= Rhexon::Mixing::Correction.new(sheet, poured,
                                                   { "container_ml" => container_ml, "usable_g" => usable_g }.compact,
                                                   leave: left_as_is?)
  end

  # After an over-pour somebody decided to leave it; a pour taken back or added later asks anew.
  def left_as_is?
    decided = entries.where(kind: "note").order(:id).last
    !decided.nil? && decided.body["way"] == "accept" &&
      pours.none? { |entry| entry.id > decided.id && over_again?(entry) }
  end

  def poured_g(name) = poured.sum { |pour| pour["name"] == name ? pour["g"] : 0.0 }

  # When the hardener first went in: the pot life runs from then.
  # @return [Time, nil]
  def hardened_at
    names = sheet.recipe.components.select { |component| component.role == "hardener" }.map(&:name)
    pours.find { |entry| names.include?(entry.body["name"]) }&.happened_at
  end

  # @return [Time, nil] as the plan reckons it, through the air of the room
  def usable_until = hardened_at && usable_from(hardened_at)&.then { |minute| Time.at(minute * 60).utc }

  # @return [Integer, nil] minutes it may be used, from the hardener or from now
  def usable_min = usable_from(hardened_at || Time.current)&.-((hardened_at || Time.current).to_i / 60)

  # What stirring, resting and straining the sheet asks for.
  # @return [Array<Hash>] {"after", "do", "min"}
  def steps = product ? product.to_value.mix_steps : []

  def reload(*) = super.tap { @pours = @correction = @sheet = nil }

  private

  def usable_from(time)
    hardener = components.find { |component| component["role"] == "hardener" }
    return unless product && hardener

    Rhexon::Mixing::PotLife.usable_until(product.to_value, (room || Room.order(:id).first).line, time.to_i / 60,
                                         batch_g: correction.total_g, hardener_parts: hardener["parts"])
  end

  def over_again?(entry)
    poured_g(entry.body["name"]) > sheet.pours.find { |pour| pour.name == entry.body["name"] }.high_g
  end

  # What the shelf holds of each component now stands in the way of topping up.
  def priced
    components.map do |component|
      component["product"] ? component.merge("left_g" => Shelf::Stock.left_g(component["product"])) : component
    end
  end
end
