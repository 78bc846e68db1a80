module Rhexon
  module Proposals
    # A first schedule for a floor that was sketched: sanded by machine, cleaned, and laid on in sections once the air
    # is what the sheet wants.
    module FloorSchedule
      module_function

      # @param product [Materials::Product]
      # @param method [String]
      # @param wet_um [Numeric]
      # @param coats [Integer]
      # @return [Array<Hash>] steps of a schedule document
      def steps(product:, method:, wet_um:, coats:)
        [
          { "kind" => "sand", "grits" => Reference.new_steps.floor.grits, "machine" => true },
          { "kind" => "clean", "way" => "vacuum" },
          { "kind" => "measure", "way" => "air", "readings" => 1, "hold" => true },
          { "kind" => "coat", "role" => "top", "product" => product.id, "method" => method, "wet_um" => wet_um,
            "coats" => coats }
        ].each_with_index.map { |step, index| { "id" => "s#{index + 1}", **step } }
      end
    end
  end
end
