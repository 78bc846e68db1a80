require "net/http"
require "json"
require "socket"
require "open3"

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
    rails("db:prepare")
    rails("runner", <<~RUBY)
      require "#{ROOT}/test/support/shop_records"
      extend ShopRecords
      set_up_shop
      make_piece(count: #{count}, steps: [ coat("s1", coats: 20, product: "seal", method: "wipe", wet_um: 12) ])
    RUBY
  end

  # One with alike pieces, whose hands are there at any hour and have read what there is to take care of.
  def make_pieces(count:)
    make(count: count)
    rails("runner", <<~RUBY)
      require "#{ROOT}/test/support/shop_records"
      extend ShopRecords
      OpenHour.delete_all
      (0..6).each { |day| OpenHour.create!(weekday: day, opens: "00:00", closes: "24:00") }
      read_cautions(Piece.first)
    RUBY
  end

  def rails(*arguments, **more)
    out, status = Open3.capture2e(env(**more), File.join(ROOT, "bin/rails"), *arguments, chdir: ROOT)
    raise "bin/rails #{arguments.first}: #{out}" unless status.success?

    out
  end

  # @return [String] what it said
  def fails(*arguments, **more)
    out, status = Open3.capture2e(env(**more), File.join(ROOT, "bin/rails"), *arguments, chdir: ROOT)
    raise "bin/rails #{arguments.first} did not fail: #{out}" if status.success?

    out
  end

  def start(fault: nil, wait: "/up")
    @process = spawn(env(FAULT: fault, **signing_in), "bundle", "exec", "puma", "-C", "config/puma.rb", "--quiet",
                     RACKUP, chdir: ROOT, out: File::NULL, err: File::NULL, pgroup: true)
    (BOOT_S * 10).times { answering?(wait) ? (return self) : sleep(0.1) }
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
    Process.wait(@process)
    @process = nil
  rescue Errno::ESRCH, Errno::ECHILD
    @process = nil
  end

  def photos = @file.sub(".sqlite3", "-photos")

  def remove
    Dir.glob("#{@file}*").each { |found| File.delete(found) }
    FileUtils.rm_rf([ photos, @file.sub(".sqlite3", "-backups"), @file.sub(".sqlite3", ".secret") ])
  end

  # @return [Net::HTTPResponse]
  def get(path, accept: "application/json", **headers)
    more = headers.transform_keys { |name| name.to_s.tr("_", "-") }
    remember(http { |server| server.get(path, "Accept" => accept, "Cookie" => cookie, **more) })
  end

  # As a page does: a token that is too old is answered with a new one, and the request is sent again.
  def post(path, body)
    2.times do
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
      return response unless response.code == "403"
    end
  end

  def sentence(response) = JSON.parse(response.body).dig("error", "sentence")

  # @return [Array<String>] first column
  def rows(sql) = `sqlite3 #{@file} #{sql.inspect}`.lines(chomp: true)

  def count(sql) = `sqlite3 #{@file} #{sql.inspect}`.to_i

  private

  def http(&block) = Net::HTTP.start("127.0.0.1", port, open_timeout: 5, read_timeout: 30, &block)
  def cookie = @cookies.map { |name, value| "#{name}=#{value}" }.join("; ")

  def remember(response)
    (response.get_fields("set-cookie") || []).each do |line|
      line.split(";").first.split("=", 2).then { |name, value| @cookies[name] = value }
    end
    response
  end
end
