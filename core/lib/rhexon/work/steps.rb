module Rhexon
  module Work
    # Questions about steps of a schedule document, by their kind of work.
    module Steps
      module_function

      # @return [Boolean] lays a product on
      def lays?(step) = Kind.find(step["kind"]).lays?

      # @return [Boolean] lays on what builds a film
      def film?(step) = Kind.find(step["kind"]).film?

      # @return [Boolean] colours, fills, oils or coats: goes over what was prepared before it
      def covers?(step) = Kind.find(step["kind"]).covers?

      # @return [Boolean] prepares what is bare
      def prepares?(step) = Kind.find(step["kind"]).phase(step) == "prepare"

      # @return [Boolean] only looks or waits
      def idle?(step) = Kind.find(step["kind"]).idle?
    end
  end
end
