require "date"

module Rhexon
  module Stock
    # One can, jar or mix on the shelf.
    # @!attribute state      [String] sealed, opened, mixed or catalysed
    # @!attribute g          [Float] what is left
    # @!attribute expires_on [Date, nil] last day it is good
    # @!attribute boxed      [Boolean] poured together with the other cans of its job: one lot
    # @!attribute passes     [Array<String>] keys of the passes a mix was made for
    Batch = Struct.new(:id, :product, :state, :g, :opened_on, :expires_on, :lot, :boxed, :kept, :passes,
                       keyword_init: true) do
      # @param record [Hash] a batch of rhexon-shop/1
      def self.read(record)
        new(id: record["id"], product: record["product"], state: record["state"] || "opened", g: record["g"].to_f,
            opened_on: day(record["opened_on"], record), expires_on: day(record["expires_on"], record),
            lot: record["lot"], boxed: record["boxed"] ==
              true, kept: record["kept"] == true, passes: record["passes"] || []).freeze
      end

      def self.day(text, record)
        text && Date.iso8601(text)
      rescue ArgumentError
        raise InvalidInput.new("#{text.inspect} is no day", where: "stock/#{record["id"]}", accepted: "2026-11-25")
      end
      private_class_method :day

      def good_on?(date) = expires_on.nil? || date <= expires_on
      # Can be used for any work.
      def free? = !kept && passes.empty?
      def mixed? = %w[mixed catalysed].include?(state)
    end
  end
end
