# What is read once in a request, however often it is asked for.
class Current < ActiveSupport::CurrentAttributes
  attribute :shelf, :products, :lessons, :stamp

  # What lies on the shelf or was read on boards has changed.
  def self.forget_shelf = self.shelf = self.products = self.lessons = self.stamp = nil
end
