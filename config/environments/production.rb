require "ipaddr"
require "socket"

Rails.application.configure do
  config.enable_reloading = false
  config.eager_load = true
  config.consider_all_requests_local = false
  config.action_controller.perform_caching = true
  config.cache_store = :memory_store

  # Rhexon runs inside the shop's own network; a proxy in front may add TLS and set this.
  config.force_ssl = ENV["FORCE_SSL"] == "1"
  # Whose word is taken for where a request comes from: a proxy's on this computer, or that of RHEXON_PROXY. What else
  # says so in the house's network could make up a new device for every guess at a password.
  proxies = %w[127.0.0.0/8 ::1/128] + ENV.fetch("RHEXON_PROXY", "").split(/[\s,]+/)
  config.action_dispatch.trusted_proxies = proxies.map do |range|
    IPAddr.new(range)
  rescue IPAddr::Error
    abort "RHEXON_PROXY: #{range.inspect} is no address. Accepted: addresses and ranges, such as 192.168.1.2, with " \
          "commas between."
  end
  config.action_dispatch.ip_spoofing_check = false
  config.ssl_options = { redirect: { exclude: ->(request) { request.path == "/up" } } }
  config.public_file_server.enabled = true
  config.public_file_server.headers = {
    "Cache-Control" => "public, max-age=31536000, immutable", "X-Content-Type-Options" => "nosniff",
    "Content-Security-Policy" => "default-src 'none'; style-src 'unsafe-inline'; frame-ancestors 'none'"
  }

  # Names that the shop's computer answers to: its own, addresses of the house, and those of RHEXON_HOSTS (a proxy's,
  # with commas between). A page of another name that leads here is turned away, whoever sends it on.
  own = Socket.gethostname.downcase
  at_home = %w[local lan internal home.arpa].map { |zone| "#{own[/\A[^.]+/]}.#{zone}" }
  house = %w[127.0.0.0/8 10.0.0.0/8 172.16.0.0/12 192.168.0.0/16 169.254.0.0/16 ::1/128 fc00::/7 fe80::/10]
  config.hosts = [ "localhost", own, *at_home, *ENV.fetch("RHEXON_HOSTS", "").split(/[\s,]+/),
                   *house.map { |range| IPAddr.new(range) } ]
  config.host_authorization = { response_app: ->(env) { PlainAnswers.stranger(env) } }

  config.logger = ActiveSupport::Logger.new($stdout)
                                       .tap { |logger| logger.formatter = Logger::Formatter.new }
                                       .then { |logger| ActiveSupport::TaggedLogging.new(logger) }
  config.log_tags = [ :request_id ]
  config.log_level = ENV.fetch("RAILS_LOG_LEVEL", "info")
  config.active_support.report_deprecations = false
  config.active_record.dump_schema_after_migration = false
  config.active_record.attributes_for_inspect = [ :id ]
end
