source "https://rubygems.org"

gem "rails", "~> 7.2.3"
gem "rhexon-core", path: "core", require: "rhexon"

gem "alba", "~> 4.0"
gem "bcrypt", "~> 3.1"
gem "bootsnap", require: false
gem "csv", "~> 3.3"
gem "icalendar", "~> 2.12"
gem "image_processing", "~> 2.0", require: false
gem "inertia_rails", "~> 3.23"
gem "kramdown", "~> 2.5"
gem "prawn", "~> 2.5"
gem "prawn-table", "~> 0.2"
gem "puma", ">= 6"
gem "pundit", "~> 2.5"
gem "rotp", "~> 6.3"
gem "rqrcode", "~> 2.2"
gem "ruby-vips", "~> 2.2", require: false
gem "rubyzip", "~> 2.4", require: "zip"
gem "sqlite3", "~> 2.8"
gem "typelizer", "~> 0.14"
gem "vite_rails", "~> 3.11"
gem "vite_ruby", "3.11.0"
gem "zxcvbn-ruby", "~> 1.4", require: "zxcvbn"

group :development, :test do
  gem "brakeman", require: false
  gem "rubocop", require: false
  gem "rubocop-minitest", require: false
  gem "rubocop-rails", require: false
  gem "rubocop-rails-omakase", require: false
end

group :test do
  gem "capybara"
  gem "minitest", "~> 5.27"
  gem "selenium-webdriver", ">= 4.30"
  gem "simplecov", "~> 0.22", require: false
end
