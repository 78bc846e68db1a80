require_relative "../lib/own_buffers"
require_relative "../lib/plain_answers"

# One process suits SQLite: writers queue, readers do not. Long work takes two threads at most (SlowWork), so that
# three answer what is quick.
threads_count = ENV.fetch("RAILS_MAX_THREADS", 5)
threads threads_count, threads_count

bind "tcp://#{ENV.fetch("BIND", "127.0.0.1")}:#{ENV.fetch("PORT", 3000)}"

pidfile ENV["PIDFILE"] if ENV["PIDFILE"]

# The largest thing taken in is a photo; what is far larger is turned away before it is read.
http_content_length_limit 32 * 1024 * 1024

# What cannot even be read as a request, such as chunks of no size, is the sender's fault.
lowlevel_error_handler do |error, env, status|
  PlainAnswers.call({ **(env || {}), "PATH_INFO" => "/#{error.is_a?(RangeError) ? 400 : status}" })
end

after_booted do
  Shop::FirstOwner.announce_if_wanted!
  WarmUp.begin!
  Instrument::Watch.begin!
  Shop::Backup::Clock.begin!
end
