module Rhexon
  module Compare
    # How one schedule differs from another, in words: only what differs, the date first.
    module Differences
      # Smaller differences are not told.
      LEAST = { film_um: 2, litres: 0.05, voc_g: 5, sheen_gu: 3, cost: 0.5, hands_min: 10, elapsed_min: 30 }.freeze

      module_function

      # @param one [Alternative] what the other is held against
      # @param other [Alternative]
      # @return [Array<String>] sentence parts
      # @param currency [String, nil] unit of what material costs
      def for(one, other, currency: nil)
        [ *work(one, other), *material(one, other, currency), sheen(one, other), pores(one, other),
          counted(other.scuffs - one.scuffs, "scuff"), counted(stops(other) - stops(one), "stop") ].compact
      end

      def work(one, other)
        [ date(one, other), counted(other.coats - one.coats, "coat"), counted(other.sessions - one.sessions, "session"),
          hands(other.hands_min - one.hands_min), film(other.film_um - one.film_um) ]
      end
      private_class_method :work

      def material(one, other, currency)
        money = [ currency, "of material" ].compact.join(" ")
        [ amount(one.litres, other.litres, :litres) { |by| "#{format("%.1f", by)} l of mix" },
          amount(one.voc_g, other.voc_g, :voc_g) { |by| "#{by.round} g of solvent in the air" },
          amount(one.cost, other.cost, :cost) { |by| "#{format("%.2f", by)} #{money}" } ]
      end
      private_class_method :material

      def date(one, other)
        return "no date" if other.ready_at.nil?
        return if one.ready_at.nil? || (other.ready_at - one.ready_at).abs < LEAST[:elapsed_min]

        "#{Units.duration((other.ready_at - one.ready_at).abs)} " \
        "#{other.ready_at < one.ready_at ? "sooner" : "later"}"
      end

      def counted(by, word)
        if by.zero?
          nil
        else
          "#{by.abs} #{word}#{"s" unless by.abs == 1} #{by.positive? ? "more" : "fewer"}"
        end
      end

      def hands(by)
        if by.abs < LEAST[:hands_min]
          nil
        else
          "#{Units.duration(by.abs)} #{by.positive? ? "more" : "less"} of hands"
        end
      end

      def film(by) = if by.abs < LEAST[:film_um]
                       nil
                     else
                       "#{by.abs.round} µm #{by.positive? ? "more" : "less"} film"
                     end

      def amount(one, other, name)
        return if one.nil? || other.nil? || (other - one).abs < LEAST[name]

        "#{yield((other - one).abs)} #{other > one ? "more" : "less"}"
      end

      def sheen(one, other)
        return if one.sheen_gu.nil? || other.sheen_gu.nil? || (other.sheen_gu - one.sheen_gu).abs < LEAST[:sheen_gu]

        "#{other.sheen_gu > one.sheen_gu ? "glossier" : "flatter"} (#{other.sheen_gu.round} against " \
        "#{one.sheen_gu.round} GU)"
      end

      def pores(one, other) = one.pores == other.pores ? nil : "pores #{other.pores} instead of #{one.pores}"

      def stops(side) = side.findings.count { |finding| finding.level == "stop" }
    end
  end
end
