require "net/http"
require "json"
require "socket"
require "open3"
require "digest"
require "fileutils"
require "tempfile"
require "tmpdir"

# What is forked from a process that has loaded the gems: it is begun with the first that is asked for, and ends with
# this one.
module Forks
  MAIN = File.expand_path("forking_shop.rb", __dir__)
  # What must not come along from the tests' own environment.
  CLEAN = %w[RAILS_ENV RHEXON_COVERAGE RHEXON_DATABASE RHEXON_DEMO RUBYOPT CI].to_h { |name| [ name, nil ] }.freeze

  module_function

  # @return [Integer] process of the server
  def serve(env, rackup) = ask(env, [ "serve", rackup ], File::NULL)

  # @return [Integer] exit status
  def command(env, arguments, out)
    ask(env, [ "command", *arguments ], out)
    JSON.parse(@pipe.gets).fetch("status")
  end

  def ask(env, run, out)
    @pipe ||= IO.popen([ CLEAN, "bundle", "exec", "ruby", MAIN ], "r+").tap { |pipe| pipe.sync = true }
    @pipe.puts(JSON.generate(env: env, run: run, out: out))
    JSON.parse(@pipe.gets || raise("#{MAIN} ended")).fetch("pid")
  end
  private_class_method :ask
end

# The application as a shop runs it: a process of its own in production mode, with a database of its own that may be
# harmed.
class RunningShop
  ROOT = File.expand_path("../..", __dir__)
  RACKUP = File.join(ROOT, "test/faults/config.ru")
  BOOT_S = 60

  attr_reader :port, :file

  # @param name [String] of the database in storage
  # @param signs_in [Boolean] whether people sign in to it, as in a shop of one's own
  # @param more [Hash] of the environment
  def initialize(name, signs_in: false, **more)
    @name = name
    @signs_in = signs_in
    @more = more
    @file = File.join(ROOT, "storage/#{name}.sqlite3")
    @port = TCPServer.open("127.0.0.1", 0) { |server| server.addr[1] }
    @cookies = {}
  end

  def env(**more)
    {
      "RAILS_ENV" => "production", "RHEXON_DATABASE" => @name, "RHEXON_DEMO" => nil, "SECRET_KEY_BASE" => "f" * 128,
      "PORT" => port.to_s, "RAILS_LOG_LEVEL" => "fatal", "RAILS_MAX_THREADS" => "3"
    }.merge(@more.merge(more).transform_keys(&:to_s))
  end

  # A shop with one piece of many coats.
  # @param count [Integer] of alike pieces
  def make(count: 1)
    prepared(<<~RUBY)
      set_up_shop
      make_piece(count: #{count}, steps: [ coat("s1", coats: 20, product: "seal", method: "wipe", wet_um: 12) ])
    RUBY
  end

  # One with alike pieces, whose hands are there at any hour and have read what there is to take care of.
  def make_pieces(count:)
    prepared(<<~RUBY)
      set_up_shop
      make_piece(count: #{count}, steps: [ coat("s1", coats: 20, product: "seal", method: "wipe", wet_um: 12) ])
      OpenHour.delete_all
      (0..6).each { |day| OpenHour.create!(weekday: day, opens: "00:00", closes: "24:00") }
      read_cautions(Piece.first)
    RUBY
  end

  # A file with the tables and nothing in them.
  def make_empty = prepared("")

  # The shop of the demo, with its photos.
  def make_demo = prepared("Rails.application.load_seed", RHEXON_DEMO: "1")

  def rails(*arguments, **more)
    out, status = command(arguments, more)
    raise "bin/rails #{arguments.first}: #{out}" unless status.zero?

    out
  end

  # @return [String] what it said
  def fails(*arguments, **more)
    out, status = command(arguments, more)
    raise "bin/rails #{arguments.first} did not fail: #{out}" if status.zero?

    out
  end

  # @param fault [String, nil] of the disk, as config.ru has them
  # @param alone [Boolean] as a process of its own from the start: one that can start itself anew
  def start(fault: nil, wait: "/up", alone: false)
    all = env(FAULT: fault, **signing_in)
    @process = alone ? spawned(all) : Forks.serve(all, RACKUP)
    (BOOT_S * 20).times { answering?(wait) ? (return self) : sleep(0.05) }
    raise "The shop did not start"
  end

  # Nobody types a password: the machine is believed, as in the demo.
  def signing_in = @signs_in ? {} : { RHEXON_DEMO: "1" }

  def answering?(path)
    get(path)
    true
  rescue SystemCallError, EOFError
    false
  end

  def kill(signal = "KILL")
    return unless @process

    Process.kill(signal, @process)
    sleep(0.02) while alive?
    @process = nil
  rescue Errno::ESRCH
    @process = nil
  end

  def photos = @file.sub(".sqlite3", "-photos")

  def remove
    Dir.glob("#{@file}*").each { |found| File.delete(found) }
    beside = %w[-backups -ended.json -first-owner.txt .secret].map { |end_of_name| @file.sub(".sqlite3", end_of_name) }
    FileUtils.rm_rf([ photos, *beside ])
  end

  # @return [Net::HTTPResponse]
  def get(path, accept: "application/json", **headers)
    more = headers.transform_keys { |name| name.to_s.tr("_", "-") }
    remember(http { |server| server.get(path, "Accept" => accept, "Cookie" => cookie, **more) })
  end

  # As a page does: a token that is too old is answered with a new one, and the request is sent again.
  def post(path, body)
    response = nil
    3.times do
      response = remember(
        http do |server|
          server.post(
            path, JSON.generate(body),
            {
              "Accept" => "application/json", "Content-Type" => "application/json", "Cookie" => cookie,
              "X-XSRF-TOKEN" => URI.decode_www_form_component(@cookies["XSRF-TOKEN"].to_s)
            }
          )
        end
      )
      break unless response.code == "403"
    end
    response
  end

  def sentence(response) = JSON.parse(response.body).dig("error", "sentence")

  # @return [Array<String>] first column
  def rows(sql) = `sqlite3 #{@file} #{sql.inspect}`.lines(chomp: true)

  def count(sql) = `sqlite3 #{@file} #{sql.inspect}`.to_i

  private

  # What a prepared file is made of: where one of them is newer, it is made anew.
  MADE_OF = %w[db/structure.sql db/demo/* app/models/**/*.rb test/support/shop_records.rb].freeze

  # The file is made once for each way it is filled, and copied with its photos.
  # @param fill [String] Ruby that fills it
  def prepared(fill, **more)
    source = File.join(ROOT, "tmp/prepared/#{Digest::SHA256.hexdigest(fill)[0, 16]}")
    made_of = Dir.glob(MADE_OF, base: ROOT).map { |file| File.mtime(File.join(ROOT, file)) }
    make_prepared(source, fill, more) unless File.exist?(source) && File.mtime(source) > made_of.max
    FileUtils.cp("#{source}/shop.sqlite3", @file)
    FileUtils.cp_r("#{source}/photos", photos) if File.exist?("#{source}/photos")
  end

  def make_prepared(source, fill, more)
    rails("db:prepare", **more)
    rails("runner", "require '#{ROOT}/test/support/shop_records'; extend ShopRecords; #{fill}", **more)
    system("sqlite3", @file, "PRAGMA wal_checkpoint(TRUNCATE)", out: File::NULL, exception: true)
    FileUtils.mkdir_p(File.dirname(source))
    made = Dir.mktmpdir("making", File.dirname(source))
    FileUtils.cp(@file, "#{made}/shop.sqlite3")
    FileUtils.cp_r(photos, "#{made}/photos") if File.exist?(photos)
    FileUtils.rm_rf(source)
    File.rename(made, source)
    remove
  end

  # @return [Array(String, Integer)] what it said, and its exit status
  def command(arguments, more)
    Tempfile.create("rhexon-command") do |out|
      status = Forks.command(env(**more), arguments, out.path)
      [ File.read(out.path), status ]
    end
  end

  def spawned(all)
    spawn(all, "bundle", "exec", "puma", "-C", "config/puma.rb", "--quiet", RACKUP, chdir: ROOT, out: File::NULL,
                                                                               err: File::NULL, pgroup: true)
      .tap { |process| Process.detach(process) }
  end

  def alive?
    Process.kill(0, @process)
    true
  end

  def http(&block) = Net::HTTP.start("127.0.0.1", port, open_timeout: 5, read_timeout: 30, &block)
  def cookie = @cookies.map { |name, value| "#{name}=#{value}" }.join("; ")

  def remember(response)
    (response.get_fields("set-cookie") || []).each do |line|
      line.split(";").first.split("=", 2).then { |name, value| @cookies[name] = value }
    end
    response
  end
end
