# A change of what the shop is.
class Shop::Settings
  # @param shop [Shop]
  def initialize(shop)
    @shop = shop
  end

  # Due dates stay the days they were, in whichever zone the shop is.
  # @param given [Hash{String=>String}] name, zone, currency, units, address
  # @raise [Rhexon::InvalidInput] names the first field that cannot be so
  def change!(given)
    days = Job.where.not(due_at: nil).to_h { |job| [ job, job.due_on ] }
    Shop.transaction do
      @shop.assign_attributes(given.transform_values { |value| value.to_s.strip })
      refuse!(@shop.errors.first) unless @shop.valid?
      moved = @shop.zone_changed?
      @shop.save!
      days.each { |job, day| job.update!(due_on: day) } if moved
    end
  end

  private

  def refuse!(error) = raise(Rhexon::InvalidInput.new(error.message, where: error.attribute.to_s))
end
