module Rhexon
  module Planning
    # What is never shut: a tool, a room.
    class Always
      attr_reader :opens, :shuts

      def initialize(now)
        @opens = [ now - 1440 ]
        @shuts = [ now + 4 * 365 * 1440 ]
      end

      def grow = false
      def shut_at?(_) = false
    end
  end
end
