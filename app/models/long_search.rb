require "open3"

# A search with full effort, in a process of its own so that no page waits for it. One at a time; the last one's
# answer is kept.
class LongSearch
  # Minutes of the clock within which a shop counts as the same.
  SAME_MIN = 10
  RHEXON = Rails.root.join("core/exe/rhexon").to_s

  @lock = Mutex.new

  class << self
    # The search for the shop as it stands; begun unless there is one.
    # @param floor [ShopFloor]
    # @return [LongSearch]
    def for(floor)
      floor.plan # what cannot be planned is set aside first
      json = floor.to_core
      @lock.synchronize do
        @last&.stop unless @last&.for?(json)
        @last = new(json, floor.plan) unless @last&.for?(json)
        @last
      end
    end

    # @return [LongSearch, nil] the finished search of that digest
    def found(digest) = @lock.synchronize { @last if @last&.digest == digest && @last.state == "found" }

    def stop = @lock.synchronize { @last&.stop }
  end

  attr_reader :state, :digest, :starts, :ready_at, :builds

  # @param json [Hash] rhexon-shop/1
  # @param shown [Rhexon::Planning::Plan] what the quick search made of it
  def initialize(json, shown)
    @asked = json.except("now")
    @now = minute(json["now"])
    @shown_goal = shown.build.goal
    @shown_ready = shown.build.ready.values.compact.max
    @digest = shown.shop.digest
    @state = "searching"
    input, output, @process = Open3.popen2({ "RUBY_YJIT_ENABLE" => "1" }, RbConfig.ruby, RHEXON, "plan",
                                           err: File::NULL)
    @reader = Thread.new { read(input, output, JSON.generate(json.merge("effort" => "full"))) }
  end

  def for?(json) = json.except("now") == @asked && minute(json["now"]) - @now < SAME_MIN

  def stop
    return unless state == "searching"

    @state = "stopped"
    Process.kill("TERM", @process.pid)
  rescue Errno::ESRCH
    nil
  end

  # @return [Integer, nil] minutes that the last piece is ready sooner
  def gain_min = ready_at && @shown_ready && @shown_ready - ready_at

  # @return [Boolean] whether it is better by the goal that was asked for
  def better = state == "found" && @better

  # Waits until it is done.
  def join = tap { @reader.join }

  private

  def read(input, output, text)
    input.write(text)
    input.close
    take(JSON.parse(output.read))
  rescue JSON::ParserError, Errno::EPIPE
    @state = "stopped"
  ensure
    output.close
  end

  def take(plan)
    planned = plan["passes"].select { |pass| pass["status"] == "planned" && pass["hands"].any? }
    @starts = planned.map do |pass|
      { "pass" => pass["key"], "start" => pass["hands_start"], "person" => pass["person"] }
    end
    @ready_at = plan["pieces"].filter_map { |piece| piece["ready_at"] }.map { |text| minute(text) }.max
    @builds = plan.dig("search", "builds")
    @better = (plan.dig("goal", "value") <=> @shown_goal).negative?
    @state = "found"
  end

  def minute(text) = Rhexon::Zone.minute(text)
end
