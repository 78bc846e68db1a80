module Rhexon
  module Stock
    # What runs out for the planned work, in whole packs.
    class Shopping
      # @!attribute short_g [Float] 0 when the shelf holds enough
      # @!attribute stale_g [Float] on the shelf, past its date when it is needed
      # @!attribute packs   [Array<Packs::Choice>]
      Line = Struct.new(:product, :need_g, :left_g, :stale_g, :short_g, :needed_at, :passes, :packs, :cost,
                        keyword_init: true)
      # @!attribute packs [Integer] whole packs to buy
      Worn = Struct.new(:id, :name, :unit, :need, :left, :short, :packs, :pack, :cost, keyword_init: true)

      # @param plan [Planning::Plan]
      def initialize(plan)
        @plan = plan
      end

      # @return [Array<Line>] soonest needed first
      def lines = @lines ||= Needs.for(@plan).values.map { |need| line(need) }

      # @return [Array<Worn>]
      def worn
        Consumables.worn(@plan, shop.consumables).filter_map do |id, need|
          next if need.zero?

          record = shop.consumables.find { |candidate| candidate["id"] == id }
          short = [ need - (record["left"] || 0), 0 ].max
          packs = (short / (record["pack"] || 1).to_f).ceil
          Worn.new(id: id, name: record["name"], unit: record["unit"], need: need, left: record["left"] || 0,
                   short: short, packs: packs, pack: record["pack"] || 1,
                   cost: record["price"] && packs * record["price"])
        end
      end

      private

      def shop = @plan.shop

      def line(need)
        product = shop.products.fetch(need.product)
        date = shop.zone.date(need.first_at)
        mine = shop.stock.select { |batch| batch.product == product.id && batch.free? }
        good, stale = mine.partition { |batch| batch.good_on?(date) }
        left = good.sum(&:g)
        short = [ need.g - left, 0 ].max
        packs = Mixing::Packs.cover(short, product)
        Line.new(product: product, need_g: need.g, left_g: left, stale_g: stale.sum(&:g), short_g: short,
                 needed_at: need.first_at, passes: need.passes, packs: packs,
                 cost: packs.any? ? Mixing::Packs.cost(packs) : nil)
      end
    end
  end
end
