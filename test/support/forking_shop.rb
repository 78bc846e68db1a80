# Loads gems, frameworks and the core once, and forks what it is asked for: a server, or a command of bin/rails. Each
# fork then boots the application by itself, with an environment of its own, as a fresh process would.
# Talks in lines of JSON: { env, run, out } in; { pid }, and for a command { status } once it is over, out.
require "json"

root = File.expand_path("../..", __dir__)
Dir.chdir(root)
ENV["RAILS_ENV"] = "production"
require File.join(root, "config/application")
[ ActiveSupport, ActiveModel, ActiveRecord, ActionView, ActionDispatch, ActionController ].each(&:eager_load!)
require "active_record/connection_adapters/sqlite3_adapter"
require "puma/cli"
require "rails/command"
Zeitwerk::Registry.loaders.find { |loader| loader.tag.start_with?("rhexon") }&.eager_load

APP_PATH = File.join(root, "config/application")
SERVE = ->(rackup) { Puma::CLI.new([ "-C", "config/puma.rb", "--quiet", rackup ]).run }
COMMAND = ->(*arguments) {
  ARGV.replace(arguments)
  require "rails/commands"
}

answers = $stdout.dup
answers.sync = true
$stdin.each_line do |line|
  asked = JSON.parse(line)
  kind, *arguments = asked.fetch("run")
  pid = fork do
    Process.setpgrp
    $stdin.reopen(File::NULL)
    [ $stdout, $stderr ].each { |stream| stream.reopen(asked.fetch("out"), "a") }
    answers.close
    ENV.update(asked.fetch("env"))
    kind == "serve" ? SERVE.(*arguments) : COMMAND.(*arguments)
  end
  answers.puts(JSON.generate(pid: pid))
  watch = Process.detach(pid)
  answers.puts(JSON.generate(status: watch.value.exitstatus || 1)) if kind == "command"
end
