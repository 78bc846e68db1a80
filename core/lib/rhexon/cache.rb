module Rhexon
  # What was made lately, by what it was made from: at most so many, the oldest goes first. Threads share it; what is
  # missing is made outside the lock, and where two threads make the same the first one stays.
  class Cache
    MISSING = Object.new.freeze
    private_constant :MISSING

    # @param most [Integer] values that are kept
    # @param lately_used [Boolean] what was asked for lately counts as young
    def initialize(most, lately_used: false)
      @most = most
      @lately_used = lately_used
      @kept = {}
      @lock = Mutex.new
    end

    # @yieldreturn [Object] made where it is not kept
    def fetch(key)
      kept = @lock.synchronize { @lately_used && @kept.key?(key) ? again(key) : @kept.fetch(key, MISSING) }
      return kept unless kept.equal?(MISSING)

      keep(key, yield)
    end

    def key?(key) = @lock.synchronize { @kept.key?(key) }
    def size = @lock.synchronize { @kept.size }

    private

    def again(key) = @kept[key] = @kept.delete(key)

    def keep(key, value)
      @lock.synchronize do
        return @kept[key] if @kept.key?(key)

        @kept.shift while @kept.size >= @most
        @kept[key] = value
      end
    end
  end
end
