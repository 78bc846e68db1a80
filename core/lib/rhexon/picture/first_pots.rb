module Rhexon
  module Picture
    # What is laid on in the first hours of the next day wants before: flatting and pigment stirred up from the bottom,
    # and a can that stood cold taken where it is warm.
    class FirstPots
      # So long after hands are there, minutes. An estimate.
      FIRST_MIN = 180
      # Films glossier than this hold nothing that settles, GU. An estimate.
      FLATTED_BELOW_GU = 60

      # @param plan [Planning::Plan]
      # @param closes [Integer] minute at which hands leave
      # @param opens [Integer] minute at which hands are there again
      def initialize(plan, closes, opens)
        @plan = plan
        @closes = closes
        @opens = opens
      end

      # @return [Array<String>] sentences
      def to_stir
        names = products.select { |product, _| settles?(product) }.map { |product, _| product.name }
        names.empty? ? [] : [ "Stir up from the bottom before it is used: #{names.join(", ")}." ]
      end

      # @return [Array<String>] sentences
      def to_warm
        products.filter_map do |product, pass|
          low = @plan.shop.line(pass.room).between(@closes, @opens).map(&:t_c).min
          next unless low && low < [ Drying::Application.least_c(product) || 0,
                                     Reference.faults.evidence.cold_below_c ].max

          "Take #{product.name} where it is warm: #{pass.room} falls to #{format("%g", low.round(1))} °C over night."
        end
      end

      private

      def settles?(product)
        product.coloured? || (product.sheen_gu && product.sheen_gu.value < FLATTED_BELOW_GU)
      end

      # @return [Array<Array(Materials::Product, Planning::Pass)>] each once, in the order they are wanted
      def products
        @products ||= @plan.placements
          .select { |one| wanted?(one) }.sort_by(&:hands_start).map { |one| [ one.pass.product, one.pass ] }
          .uniq { |product, _| product.id }
      end

      def wanted?(placement)
        placement.status == "planned" && placement.pass.leaves_something? && placement.pass.product &&
          placement.hands_start.between?(@opens, @opens + FIRST_MIN)
      end
    end
  end
end
