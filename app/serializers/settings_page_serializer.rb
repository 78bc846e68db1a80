# The settings of the shop, and what each may be.
class SettingsPageSerializer < ApplicationSerializer
  fields name: :string, zone: :string, currency: :string, units: "'metric' | 'us'", address: :string,
         better_plan: "'ask' | 'night'", zones: "string[]", currencies: "string[]", here: :string, addresses: "string[]"
end
