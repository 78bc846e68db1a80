# What a shop of a country begins with: its currency, its units and its zones. All of it can be changed.
module Shop::Country
  # ISO 3166 => ISO 4217. What is not here begins with the euro.
  CURRENCY = {
    "AE" => "AED", "AR" => "ARS", "AU" => "AUD", "BG" => "BGN", "BR" => "BRL", "CA" => "CAD", "CH" => "CHF",
    "CL" => "CLP", "CN" => "CNY", "CO" => "COP", "CZ" => "CZK", "DK" => "DKK", "EG" => "EGP", "FO" => "DKK",
    "GB" => "GBP", "GG" => "GBP", "GL" => "DKK", "HK" => "HKD", "HU" => "HUF", "ID" => "IDR", "IL" => "ILS",
    "IM" => "GBP", "IN" => "INR", "IS" => "ISK", "JE" => "GBP", "JP" => "JPY", "KE" => "KES", "KR" => "KRW",
    "LI" => "CHF", "LK" => "LKR", "MA" => "MAD", "MX" => "MXN", "MY" => "MYR", "NG" => "NGN", "NO" => "NOK",
    "NZ" => "NZD", "PE" => "PEN", "PH" => "PHP", "PK" => "PKR", "PL" => "PLN", "PR" => "USD", "RO" => "RON",
    "RS" => "RSD", "SE" => "SEK", "SG" => "SGD", "TH" => "THB", "TR" => "TRY", "TW" => "TWD", "UA" => "UAH",
    "US" => "USD", "UY" => "UYU", "VN" => "VND", "ZA" => "ZAR"
  }.freeze
  USUAL_CURRENCY = "EUR".freeze
  CURRENCIES = [ USUAL_CURRENCY, *CURRENCY.values ].uniq.sort.freeze
  # Where films are in mil, liquids in ounces and rooms in °F.
  US_UNITS = %w[US PR GU VI AS MP LR].freeze

  module_function

  # @return [Array<Hash>] ShopCountry: its code, what it begins with, and its zones
  def all
    @all ||= TZInfo::Country.all.map { |country|
      { code: country.code, currency: currency(country.code), units: units(country.code),
        zones: country.zone_identifiers }
    }.sort_by { |country| country[:code] }.freeze
  end

  def currency(code) = CURRENCY.fetch(code, USUAL_CURRENCY)
  def units(code) = US_UNITS.include?(code) ? "us" : "metric"
end
