Rails.application.configure do
  config.enable_reloading = false
  config.eager_load = ENV["CI"].present?
  config.consider_all_requests_local = false
  config.cache_store = :memory_store
  config.log_level = ENV.fetch("RAILS_LOG_LEVEL", "fatal")
  config.action_dispatch.show_exceptions = :all
  config.action_controller.allow_forgery_protection = false
  config.active_support.deprecation = :stderr
  config.action_controller.raise_on_missing_callback_actions = true

  # Only where a test asks for it.
  config.x.better_plan_after = nil
end
