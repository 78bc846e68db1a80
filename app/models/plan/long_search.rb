require "open3"

# A search with full effort: a job, in a process of its own so that no page waits for it. One at a time; the last one's
# answer is kept as long as the server runs.
class Plan::LongSearch
  # Minutes of the clock within which a shop counts as the same, and what was found for it is offered.
  SAME_MIN = 10
  OFFERED_MIN = 60
  RHEXON = Rails.root.join("core/exe/rhexon").to_s
  UNTOLD = "The longer search could not be finished".freeze
  LIFELINE = Rails.root.join("lib/lifeline.rb").to_s
  # By then no search has anything more to find; one that has run wild ends.
  MOST_S = 300

  @lock = Mutex.new

  class << self
    # The search for the shop as it stands; begun unless there is one.
    # @param floor [ShopFloor]
    # @return [Plan::LongSearch]
    def for(floor)
      floor.plan # what cannot be planned is set aside first
      json = floor.to_core
      @lock.synchronize do
        next @last if @last&.for?(json)

        @last&.stop
        @last = new(json, floor.plan).tap(&:begin!)
      end
    end

    # @return [Plan::LongSearch, nil] the last search, if it is that of the digest
    def at(digest) = @lock.synchronize { @last if @last&.digest == digest }

    # What the last search found, where it is worth asking for and the shop is as it was then.
    # @param floor [ShopFloor]
    # @return [Plan::LongSearch, nil]
    def offer(floor)
      @lock.synchronize { @last }&.then { |last| last if last.enough? && last.for?(floor.to_core, OFFERED_MIN) }
    end

    # @return [Plan::LongSearch, nil] the finished search of that digest
    def found(digest) = at(digest)&.then { |search| search if search.state == "found" }

    # The search ends, or what it found is not wanted.
    def put_away = @lock.synchronize { @last&.put_away }
  end

  # @!attribute error [String, nil] why it failed, in a sentence
  # @!attribute better [Rhexon::Compare::Better, nil] what the plan that was found would gain
  attr_reader :state, :digest, :starts, :ready_at, :builds, :error, :better

  # @param json [Hash] rhexon-shop/1
  # @param shown [Rhexon::Planning::Plan] what the quick search made of it
  def initialize(json, shown)
    @json = json
    @asked = json.except("now")
    @now = minute(json["now"])
    @shown = shown
    @digest = shown.shop.digest
    @state = "searching"
    @ended = Concurrent::Event.new
  end

  def begin! = LongSearchJob.perform_later(digest)
  def for?(json, within = SAME_MIN) = json.except("now") == @asked && minute(json["now"]) - @now < within

  # What the job does: asks the core's own command, and takes its answer.
  def run
    return unless state == "searching"

    # Near what stands first; where that gains too little, as if nothing stood.
    [ @json, @json.merge("previous" => []) ].each do |json|
      answer, complaint, status = ask(json)
      return if state == "stopped"
      return fail_with(complaint) unless status.success?

      take(JSON.parse(answer))
      break if @better.enough?
    end
    @state = "found"
  rescue SystemCallError, JSON::ParserError => error
    fail_with(error.message)
  ensure
    @ended.set
  end

  def stop
    return unless state == "searching"

    @state = "stopped"
    Process.kill("TERM", @pid) if @pid
  rescue Errno::ESRCH
    nil
  end

  # @return [Boolean] whether what it found is worth asking for
  def enough? = state == "found" && @better.enough?

  # Ends the search; what it found is not offered again.
  def put_away
    stop
    @state = "refused" if @state == "found"
  end

  # Waits until it is done.
  def join = tap { @ended.wait }

  private

  # @return [Array(String, String, Process::Status)] what the command answered, what it complained of, how it ended
  def ask(json)
    alive do |env, held|
      Open3.popen3(env, RbConfig.ruby, "-r", LIFELINE, RHEXON, "plan", held) do |input, output, complaints, process|
        @pid = process.pid
        stop_late
        complaint = Thread.new { complaints.read }
        input.write(JSON.generate(json.merge("effort" => "full")))
        input.close
        [ output.read, complaint.value, process.value ]
      end
    end
  end

  # The process ends with this one, also where this one is killed.
  def alive
    reading, writing = IO.pipe
    yield({ "RUBY_YJIT_ENABLE" => "1", "LIFELINE" => reading.fileno.to_s, "LIFELINE_S" => MOST_S.to_s },
          { reading => reading })
  ensure
    [ reading, writing ].each(&:close)
  end

  # Stopped before it had a process.
  def stop_late = state == "stopped" && Process.kill("TERM", @pid)

  def fail_with(complaint)
    return if state == "stopped"

    Rails.logger.error("#{UNTOLD}: #{complaint}")
    @error = "#{UNTOLD}: #{complaint.lines.first.to_s.strip.first(200)}"
    @state = "failed"
  end

  def take(plan)
    @starts = plan["previous"]
    @ready_at = plan["pieces"].filter_map { |piece| piece["ready_at"] }.map { |text| minute(text) }.max
    @builds = plan.dig("search", "builds")
    @better = Rhexon::Compare::Better.new(@shown, found)
  end

  # What was found as it would be kept.
  def found
    Rhexon::Search::Planner.plan(
      Rhexon::Planning::Shop.new(@json.merge("previous" => @starts, "effort" => "kept"))
    )
  end

  def minute(text) = Rhexon::Zone.minute(text)
end
