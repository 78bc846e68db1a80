# Work that takes long beside the web threads: only a few at a time, so that bench and pages always find a thread.
module SlowWork
  # Of the web threads of config/puma.rb; the others stay free for what is quick.
  AT_ONCE = 2
  WAIT_S = 10
  # Ruby gives a thread 100 ms at a time; at this priority 12 ms, so that an edit beside it hardly waits.
  PRIORITY = -3
  # All places are taken and none came free in time.
  Busy = Class.new(Rhexon::InvalidInput)

  @lock = Mutex.new
  @free = ConditionVariable.new
  @taken = 0

  module_function

  # @yieldreturn [Object] what is answered
  # @raise [Busy] when others take too long
  def turn
    enter
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

  def enter
    till = Process.clock_gettime(Process::CLOCK_MONOTONIC) + WAIT_S
    @lock.synchronize do
      while @taken >= AT_ONCE
        left = till - Process.clock_gettime(Process::CLOCK_MONOTONIC)
        raise Busy, "The shop's computer is busy with other long work. Try again in a moment." unless left.positive?

        @free.wait(@lock, left)
      end
      @taken += 1
    end
  end
  private_class_method :enter
end
