module Rhexon
  module Checks
    # Ways that would bring a date forward, or give one: each is planned before it is offered. Planning goes on until
    # enough are found, or so many passes have been planned; what was not tried is told.
    class Proofs
      MOST = 3
      # What an edit of the schedule cannot do: planned with the shop as it would be, it leads to where that is done.
      # @!attribute shop [Proc] that shop; it may raise InvalidInput where the piece cannot be so
      Elsewhere = Struct.new(:label, :place, :shop, keyword_init: true) do
        def operation = nil
      end
      # Passes planned for one finding: a shop of ordinary size tries all it can think of, in about a second.
      PASSES = 2400

      # @param context [Context]
      # @param ways [Array<Remedy, Elsewhere>] the likeliest first
      # @param than [Integer, nil] the minute that has to be beaten; nil: any date does
      # @param passes [Integer, nil] how many may be planned; nil: all ways are tried
      def initialize(context, ways, than: nil, passes: PASSES)
        @context = context
        @ways = ways
        @than = than
        @tries = passes && [ passes / [ context.plan.model.size, 1 ].max, 1 ].max
      end

      # @return [Array<Remedy>] each with the date that it gives
      def found = proven.first

      # @return [Integer] ways that were not tried
      def untried = proven.last

      private

      def proven
        @proven ||= begin
          found, tried = [], 0
          @ways.each do |way|
            break if found.size == MOST || tried == @tries

            tried += 1
            dated(way)&.then { |remedy| found << remedy }
          end
          [ found, found.size == MOST ? 0 : @ways.size - tried ]
        end
      end

      def dated(way)
        ready = plan(way).build.ready[@context.piece.id]
        return unless ready && (@than.nil? || ready < @than)

        Remedy.new(label: "#{way.label}: ready #{@context.clock(ready)}", operation: way.operation, place: way.place)
      rescue InvalidInput
        nil
      end

      def plan(way)
        return Search::Planner.plan(way.shop.call.searched) unless way.operation

        @context.plan.with_schedule(@context.piece.id, Schedule::Edit.apply(@context.document, way.operation))
      end
    end
  end
end
