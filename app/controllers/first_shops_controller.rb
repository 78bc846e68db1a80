# The first page of a shop that has not begun: it asks, and makes nothing by itself.
class FirstShopsController < ApplicationController
  skip_before_action :begin_first
  takes :create, name: :name, person: :name, password: :name, zone: :name, room: :name, t_c: :typed, rh: :typed,
                 opens: :name, closes: :name, units: :name, currency: :name

  def show
    return redirect_to("/bench") if Shop.exists?

    render inertia: "FirstShop", props: { zones: TZInfo::Timezone.all_identifiers, countries: Shop::Country.all,
                                            currencies: Shop::Country::CURRENCIES }
  end

  def create
    first = Shop::Beginning.new(body)
    if (owner = first.begin!)
      reset_session
      sign_in!(owner)
      return redirect_to("/bench", status: :see_other)
    end

    redirect_to first_shop_path, inertia: { errors: first.errors }, status: :see_other
  end
end
