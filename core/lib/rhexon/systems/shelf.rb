module Rhexon
  module Systems
    # What a system is laid on with: of the shelf where it has it, else of its kind, to buy.
    class Shelf
      # One thing of each kind that systems take, as it would be bought: with what its kind usually is, and of the sheen
      # that is wished, as far as a can of its kind gives that. Beyond it is rubbed out.
      # @param wish [Wish]
      # @return [Array<Hash>] products of rhexon-shop/1
      def self.to_buy(wish)
        lays = System.all.flat_map(&:lays).select { |laid| laid["class"] }
        kinds = lays.flat_map { |laid| laid["class"].map { |id| [ id, laid["colour"] ] } }
        (kinds + FILLERS.map { |id| [ id, nil ] }).uniq.map { |class_id, colour| record(class_id, colour, wish.gu) }
      end

      # Not sold flatted.
      GLOSS = %w[shellac epoxy_clear].freeze
      FILLERS = %w[waterborne_filler paste_filler_oil].freeze
      PRIMERS = %w[waterborne_primer].freeze
      private_constant :GLOSS, :FILLERS, :PRIMERS

      def self.record(class_id, colour, gu)
        usual = Reference.classes.classes.fetch(class_id)
        pigment = colour || ("pigmented" if PRIMERS.include?(class_id))
        { "id" => [ Materials::Product::TO_BUY + class_id, colour ].compact.join(":"), "class" => class_id,
          "colour" => pigment,
          "name" => "#{"coloured " if colour}#{usual["name"].sub(/^./, &:downcase)}",
          "sheen_gu" => (sold(gu, usual["sheen_gu"]) unless GLOSS.include?(class_id)) }.compact
      end

      def self.sold(wanted, most) = wanted && most && [ wanted, most ].min
      private_class_method :record, :sold

      # @param shop [Planning::Shop] with what is to buy among its products
      # @param wish [Wish]
      def initialize(shop, wish)
        @products = shop.products.values.reject { |product| product.retired? || product.helper? }
        @wish = wish
      end

      def bought?(product) = product.to_buy?

      # @param laid [Hash] of a system
      # @return [Array(Materials::Product, String), nil] product and method; nil: nothing is laid on in a way there is
      def for(laid)
        laid["class"].each_with_index.flat_map { |class_id, at|
          fitting(class_id, laid).filter_map do |product|
            way = (laid["way"] & @wish.gear & methods(product, laid)).first
            [ product, way, rank(product, laid, way, at) ] if way
          end
        }.min_by(&:last)&.first(2)
      end

      # @param product [Materials::Product]
      # @return [Boolean] it may be this layer of a system, laid on so
      def fits?(product, method, laid)
        laid["way"].include?(method) && laid["class"].any? { |id| fitting(id, laid).include?(product) }
      end

      # @param water [Boolean] what goes over it is waterborne
      # @return [Materials::Product, nil]
      def filler(water)
        fillers = @products.select { |product| product.filler? && FILLERS.include?(product.class_id) }
        fillers.min_by { |product| [ product.waterborne? == water ? 0 : 1, bought?(product) ? 1 : 0, product.id ] }
      end

      # @return [Array(Materials::Product, String)] dewaxed shellac, and how it is laid on
      def barrier = self.for("do" => "coat", "role" => "seal", "class" => %w[shellac], "way" => %w[spray brush pad])

      private

      def fitting(class_id, laid)
        @products.select do |product|
          product.class_id == class_id && colour?(product, laid) && !(product.waxy? && laid["role"] == "seal")
        end
      end

      def colour?(product, laid)
        return product.colour == "pigmented" if laid["colour"] == "pigmented" || laid["role"] == "primer"

        !%w[pigmented tinted].include?(product.colour)
      end

      def methods(product, laid)
        laid["do"] == "coat" ? product.methods_known : Schedule::Kinds.methods(laid["do"], product)
      end

      # A sheen as it is wished, what is on the shelf, the better kind, the better way, the nearer sheen.
      def rank(product, laid, way, kind)
        top = laid["role"].nil? || laid["role"] == "top"
        gu = product.sheen_gu&.value if top
        [ off(gu), bought?(product) ? 1 : 0, kind, laid["way"].index(way),
          gu && @wish.gu ? (gu - @wish.gu).abs : 0, product.id ]
      end

      # @return [Integer] 0: of the sheen that is wished; 1: a gloss, which is rubbed to it; 2: flatted for another
      def off(gu)
        return 0 if gu.nil? || @wish.sheen.nil? || gu.between?(*@wish.sheen)

        Prep::Sheen.cap_gu(gu) >= @wish.sheen.first ? 1 : 2
      end
    end
  end
end
