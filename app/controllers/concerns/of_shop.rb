# What belongs to the shop and answers with its page.
module OfShop
  private

  def answer(report: nil) = render(json: ShopState.new.to_h(report: report))

  def keep!(record)
    unless record.save
      raise Rhexon::InvalidInput.new(record.errors.first.message, where: record.errors.first.attribute.to_s)
    end

    answer
  end

  # Schedules, pins and the log go by names.
  def refuse_renamed!(record)
    return unless record.persisted? && record.name_changed?

    raise Rhexon::InvalidInput.new("#{record.name_was} is named in schedules and the log and keeps that name",
                                   where: "name")
  end
end
