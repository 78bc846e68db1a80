require_relative "boot"

require "rails"
require "active_model/railtie"
require "active_record/railtie"
require "action_controller/railtie"
require "action_view/railtie"
require "rails/test_unit/railtie"

Bundler.require(*Rails.groups)

module Workshop
  class Application < Rails::Application
    config.load_defaults 7.2
    config.autoload_lib(ignore: %w[tasks])
    config.generators.system_tests = nil
    config.time_zone = "UTC"
    # Triggers keep the log append-only; only SQL can describe them.
    config.active_record.schema_format = :sql

    config.middleware.use Rack::Deflater
  end
end
