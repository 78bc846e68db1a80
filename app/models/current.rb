# What is read once in a request, however often it is asked for, and whose request it is.
class Current < ActiveSupport::CurrentAttributes
  attribute :shelf, :products, :lessons, :stamp, :session, :address
  # Whether a policy was asked about what the request names.
  attribute :asked_policy

  # What lies on the shelf or was read on boards has changed.
  def self.forget_shelf = self.shelf = self.products = self.lessons = self.stamp = nil

  # @return [Person, nil] whose hands it is done by; nil: instruments, guests, and what the shop does by itself
  def self.person = session&.actor

  # @return [String, nil] what they may do on this device, of Person::ROLES
  def self.role = session&.role
end
