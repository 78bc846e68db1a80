module Rhexon
  module Handover
    # How a finish is kept: cleaned, kept from harm, and given a fresh coat (core/data/care.yml).
    class Care
      # What a product is to whoever lives with it.
      # @return [Hash] a family of care.yml: "name", "clean", "never", "due", "renew"
      def self.family(product)
        Reference.care.families.each_value.find { |family| family["classes"].include?(product.class_id) }
      end

      # @param tops [Array<Materials::Product>] what lies on top, by face
      # @param use [String, nil]
      def initialize(tops, use)
        @tops = tops.uniq(&:class_id)
        @use = use
      end

      # @return [Array<String>] families, in words: "waterborne clear"
      def names = families.map { |family| family["name"] }

      # @return [Array<String>]
      def clean = [ *families.map { |family| family["clean"] }, of_use["clean"] ].compact.uniq

      # @return [Array<String>]
      def never = [ *families.flat_map { |family| family["never"] }, *of_use["never"], *table.never ].uniq

      # @return [Array<String>] by what a fresh coat is seen to be due
      def due = families.map { |family| family["due"] }

      # @return [Array<String>] how it is given
      def renew = families.map { |family| family["renew"] }

      # @return [Integer, nil] months after which it is to be expected; nil: as it wears
      def months = @tops.filter_map { |top| Materials::Resistance.renewed_after_months(@use, top) }.min

      # @return [Array<String>] what is to be minded until it has fully cured
      def until_cured
        rows = table.until_cured.select { |row| @tops.any? { |top| row["classes"].include?(top.class_id) } }
        rows.map { |row| row["says"] }
      end

      def food = table.food

      private

      def table = Reference.care
      def families = @families ||= @tops.filter_map { |top| Care.family(top) }.uniq
      def of_use = table.uses.fetch(@use.to_s, {})
    end
  end
end
