# A week by its days, and days that differ.
class HoursSerializer < ApplicationSerializer
  fields week: "Record<string, string>", days: "Array<{ date: string; hours: string }>"
end
