module Rhexon
  module Faults
    # Faults of a shop's log: each puts the steps that mend it into the schedule of its piece, once.
    module Log
      LEAVE = "leave".freeze

      module_function

      # @param document [Hash] a schedule document
      # @param piece_id [String]
      # @param log [Array<Hash>] of rhexon-shop/1
      # @param products [Hash{String=>Materials::Product}]
      # @return [Hash] the document, with what mends its faults
      # @raise [InvalidInput]
      def mended(document, piece_id, log, products)
        mine = log.select { |entry| entry["pass"].start_with?("#{piece_id}/") }
        faults = mine.select { |entry| entry["kind"] == "fault" && entry["mending"] != LEAVE }
        return document if faults.empty?

        begun = mine.select { |entry| %w[started done].include?(entry["kind"]) }.map { |entry| entry["pass"] }
        faults.reduce(document) do |so_far, entry|
          known?(so_far, entry) ? so_far : mend(so_far, entry, begun, products)
        end
      end

      def known?(document, entry) = document["steps"].any? { |step| step["mends"] == entry.slice("pass", "fault") }
      private_class_method :known?

      def mend(document, entry, begun, products)
        fault = Fault.find(entry["fault"])
        mending = Mending.new(document, pass: entry["pass"], begun: begun, products: products)
        wanted = entry["mending"] ? fault.mending(entry["mending"]) : mending.ways(fault).first || fault.mendings.first
        Schedule::Edit.apply(document, mending.operation(fault, wanted))
      end
      private_class_method :mend
    end
  end
end
