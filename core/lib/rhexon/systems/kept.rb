module Rhexon
  module Systems
    # What is done on a piece already: whichever way it goes on, these steps stay.
    class Kept
      LAID = %w[coat oil].freeze
      private_constant :LAID

      # @return [Array<Hash>] from the first to the last that is begun, with the coats that are
      attr_reader :steps

      # @param shop [Planning::Shop]
      # @param record [Hash] the piece, of rhexon-shop/1
      def initialize(shop, record)
        begun = begun_coats(shop, record["id"])
        all = record.dig("schedule", "steps") || []
        last = all.rindex { |step| begun.key?(step["id"]) }
        @steps = last ? [ *all.first(last), cut(all[last], begun) ].freeze : []
      end

      def any? = steps.any?
      def kind?(*kinds) = steps.any? { |step| kinds.include?(step["kind"]) }
      # Colour is in the wood.
      def coloured? = kind?("stain")
      # The wood is closed to what goes into it.
      def film? = !top.nil?
      # An old finish is off.
      def stripped? = kind?("strip")

      # @return [Hash, nil] the last step that was laid on to stay: what comes goes over it
      def top = steps.reverse.find { |step| LAID.include?(step["kind"]) }

      # @return [Integer] coats of a product that are on
      def coats(product)
        steps.sum { |step| LAID.include?(step["kind"]) && step["product"] == product ? step["coats"] || 1 : 0 }
      end

      # @param coats [Integer]
      # @return [Array<Hash>] the steps, the last of them going on to so many coats
      def up_to(coats) = [ *steps[..-2], steps.last.merge("coats" => [ coats, steps.last["coats"] ].max) ]

      # @param schedule [Array<Hash>] steps
      # @return [Boolean] nothing of it was touched but for coats that are still to come
      def in?(schedule)
        steps.zip(schedule).all? do |mine, other|
          other && mine.except("coats") == other.except("coats") && mine["coats"].to_i <= other["coats"].to_i
        end
      end

      # @return [Array<String>] ids that are free, as many as wanted
      def free_ids(count)
        taken = steps.map { |step| step["id"] }
        (1..).lazy.map { |number| "s#{number}" }.reject { |id| taken.include?(id) }.first(count)
      end

      private

      # @return [Hash{String=>Integer}] step id => coats begun
      def begun_coats(shop, piece_id)
        shop.facts.keys.each_with_object({}) do |key, coats|
          piece, step, coat = key.split("/")
          coats[step] = [ coats[step].to_i, coat.to_i ].max if piece == piece_id
        end
      end

      def cut(step, begun)
        step.key?("coats") && step["again"].nil? ? step.merge("coats" => begun.fetch(step["id"])) : step
      end
    end
  end
end
