module Rhexon
  module Compare
    # The same dry film by another method: one brushed or sprayed coat is n wiped coats of the same product, n the
    # ratio of their dry films.
    module OtherMethod
      # A rest smaller than this share of a coat is not worth another one.
      SPARE = 0.15

      module_function

      # @param product [Materials::Product]
      # @param wet_um [Numeric] of a coat now
      # @param coats [Integer] now
      # @param method [String] the other one
      # @return [Hash, nil] {"method", "wet_um", "coats"}; nil when the product is not laid on that way
      def laying_for(product, wet_um, coats, method)
        usual = product.wet_um(method)&.value or return
        count = [ (coats * wet_um / usual.to_f - SPARE).ceil, 1 ].max
        {
          "method" => method,
          "wet_um" => [
            (coats * wet_um / count.to_f).round, (usual * Reference.limits.heaviest_share).floor
          ].min,
          "coats" => count
        }
      end

      # A schedule with its open coats laid on by another method where their product allows it.
      # @param document [Hash]
      # @param products [Hash{String=>Materials::Product}]
      # @param fixed [Array<String>] step ids with work in the log
      # @return [Hash, nil] operation of Schedule::Edit; nil when nothing would change
      def operation(document, products, method, fixed)
        changes = document["steps"].filter_map do |step|
          next unless step["kind"] == "coat" && step["method"] != method && !fixed.include?(step["id"])

          laying = laying_for(products.fetch(step["product"]), step["wet_um"], step["coats"], method)
          if laying && laying["coats"] <= 30
            { "op" => "change_step", "id" => step["id"], "set" => { **laying, "gun" => nil, "pins" => nil } }
          end
        end
        { "op" => "all", "operations" => changes } if changes.any?
      end
    end
  end
end
