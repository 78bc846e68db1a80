# What the shop is called, where it is, how it counts, and by which address its devices reach it.
class Shops::SettingsController < ApplicationController
  keeps_sound :update
  takes :update, name: :name, zone: :name, currency: :name, units: :name, address: :name, better_plan: :name

  def show = render(inertia: "Settings", props: settings)

  def update
    Shop::Settings.new(shop).change!(body)
    AuditLine.note!("settings", changed: shop.saved_changes.except("updated_at").keys.join(" "))
    render json: settings
  end

  private

  def shop = @shop ||= Shop.current

  def settings
    SettingsPageSerializer.new(
      { **shop.slice("name", "zone", "currency", "units", "better_plan").symbolize_keys, address: shop.address.to_s,
        zones: TZInfo::Timezone.all_identifiers, currencies: Shop::Country::CURRENCIES | [ shop.currency ],
        here: request.base_url, addresses: Shop::Address.of_this_computer(request) }
    ).to_h
  end
end
