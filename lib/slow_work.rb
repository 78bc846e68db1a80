# Work that takes long beside the web threads: only a few at a time, so that bench and pages always find a thread.
module SlowWork
  # Of the web threads of config/puma.rb; the others stay free for what is quick.
  AT_ONCE = 2
  WAIT_S = 10
  # Ruby gives a thread 100 ms at a time; at this priority 12 ms, so that an edit beside it hardly waits.
  PRIORITY = -3
  # All places are taken and none came free in time.
  Busy = Class.new(Rhexon::InvalidInput)
  # The page that asked has asked something newer since: nobody waits for this any more.
  Superseded = Class.new(Busy)

  @lock = Mutex.new
  @free = ConditionVariable.new
  @taken = 0
  @newest = {}

  module_function

  # @param of [String, nil] whose question: a newer one of the same takes the place of one that waits
  # @yieldreturn [Object] what is answered
  # @raise [Busy] when others take too long
  def turn(of: nil)
    enter(of)
    usual = Thread.current.priority
    begin
      Thread.current.priority = PRIORITY
      yield
    ensure
      Thread.current.priority = usual
      @lock.synchronize do
        @taken -= 1
        @free.signal
      end
    end
  end

  def enter(of)
    mine = Object.new
    till = Process.clock_gettime(Process::CLOCK_MONOTONIC) + WAIT_S
    @lock.synchronize do
      @newest[of] = mine if of
      @free.broadcast if of && @taken >= AT_ONCE
      while @taken >= AT_ONCE
        raise Superseded, "This page has asked something newer." if of && @newest[of] != mine

        left = till - Process.clock_gettime(Process::CLOCK_MONOTONIC)
        raise Busy, "The shop's computer is busy with other long work. Try again in a moment." unless left.positive?

        @free.wait(@lock, left)
      end
      @taken += 1
    end
  ensure
    @lock.synchronize { @newest.delete(of) if of && @newest[of] == mine }
  end
  private_class_method :enter
end
