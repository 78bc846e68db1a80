module Rhexon
  module Planning
    # Days on which anybody is there.
    module ShopDays
      module_function

      # @param days [Integer]
      # @return [Integer] minute at which the last of so many shop days ends, today counted if it is one
      def after(shop, days)
        open = shop.open_between(shop.now, shop.now + 60 * 1440)
        wanted = open.map { |from, _| shop.zone.day([ from, shop.now ].max) }.uniq.first(days)
        if wanted.empty?
          shop.now + days * 1440
        else
          open.select { |from, _| wanted.include?(shop.zone.day([ from, shop.now ].max)) }.last[1]
        end
      end
    end
  end
end
