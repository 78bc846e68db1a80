require_relative "boot"
require_relative "../lib/plain_answers"
require_relative "../lib/readable_requests"

require "rails"
require "active_model/railtie"
require "active_job/railtie"
require "active_record/railtie"
require "active_storage/engine"
require "action_controller/railtie"
require "action_view/railtie"
require "rails/test_unit/railtie"

Bundler.require(*Rails.groups)

module Workshop
  class Application < Rails::Application
    config.load_defaults 7.2
    config.autoload_lib(ignore: %w[fonts tasks plain_answers.rb lifeline.rb own_buffers.rb readable_requests.rb
                                   soundness.rb])
    config.exceptions_app = PlainAnswers
    config.generators.system_tests = nil
    config.time_zone = "UTC"
    # Triggers keep the log append-only; only SQL can describe them.
    config.active_record.schema_format = :sql
    # A shop computer whose battery is empty begins in an older year: it still has to start, and say so.
    config.active_record.validate_migration_timestamps = false

    # Photos are made small when they come in and sent by their own controller: nothing is analysed, varied or
    # uploaded past it.
    config.active_storage.service = Rails.env.to_sym
    config.active_storage.draw_routes = false
    config.active_storage.track_variants = false
    config.active_storage.analyzers = []
    config.active_storage.previewers = []

    # Jobs run in this process: what they find is of use as long as it lives, and a queue in the database would poll the
    # one file that every request writes to.
    config.active_job.queue_adapter = :async
    # A better plan is looked for once nothing was written for so long.
    config.x.better_plan_after = 2.minutes

    # Nothing of a device is asked for but what is written and chosen on the page, and no search engine is let in.
    config.action_dispatch.default_headers.merge!(
      "Permissions-Policy" => "camera=(), microphone=(), geolocation=(), payment=(), usb=(), serial=()",
      "Referrer-Policy" => "same-origin", "X-Robots-Tag" => "noindex, nofollow"
    )

    config.middleware.insert_before Rack::MethodOverride, ReadableRequests
    config.middleware.use Rack::Deflater
  end
end
