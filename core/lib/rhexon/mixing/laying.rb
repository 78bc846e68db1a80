module Rhexon
  module Mixing
    # How much of a mix a pass needs.
    # @!attribute net_ml   [Float] area · wet film / 1000 (m², µm), or area · consumption for what is wiped off again
    # @!attribute laid_ml  [Float] net over transfer efficiency
    # @!attribute gross_ml [Float] with what is left behind, and the margin
    Laying = Struct.new(:net_ml, :laid_ml, :left_behind_ml, :margin_percent, :transfer_efficiency, :wiped,
                        keyword_init: true) do
      # @param area_m2 [Numeric] of all faces of the pass
      # @param wet_um [Numeric, nil] wet film left on
      # @param method [String]
      # @param gun [String, nil] of core/data/hands.yml, for spray
      # @param narrow [Boolean] chairs, spindles: counts only where sprayed
      # @param own_transfer [Numeric, nil] the shop's own share of the efficiency that is taken otherwise
      # @param consumption_ml_per_m2 [Numeric, nil] laid on by wiping; takes the place of the film left on
      def self.for_area(area_m2:, method:, wet_um: nil, gun: nil, narrow: false, consumption_ml_per_m2: nil,
                        left_behind_ml: nil, margin_percent: nil, own_transfer: nil)
        efficiency = consumption_ml_per_m2 ? 1.0 : [ efficiency(method, gun, narrow) * (own_transfer || 1), 1.0 ].min
        net = consumption_ml_per_m2 ? area_m2 * consumption_ml_per_m2 : area_m2 * wet_um.to_f
        new(net_ml: net, laid_ml: net / efficiency,
            left_behind_ml: (left_behind_ml || hands.left_behind_ml.fetch(method)).to_f,
            margin_percent: (margin_percent || Reference.mixing.margin_percent).to_f,
            transfer_efficiency: efficiency, wiped: !consumption_ml_per_m2.nil?).freeze
      end

      # Of a pass of the plan.
      # @param pass [Planning::Pass]
      # @return [Laying]
      def self.of_pass(pass)
        return rubbed_on(pass) if rubbed?(pass)

        consumed = pass.product.consumption_ml_per_m2(later: later?(pass)) if flooded?(pass)
        wet_um = pass.wet_um || pass.product.wet_um(pass.method)&.value
        for_area(area_m2: pass.area_m2 * pass.count, wet_um: wet_um, method: pass.method, gun: pass.step["gun"],
                 narrow: pass.step["narrow"] == true, consumption_ml_per_m2: consumed,
                 left_behind_ml: pass.sitting || pass.goes_on ? 0 : hands.left_behind_ml.fetch(left_in(pass)),
                 own_transfer: pass.transfer)
      end

      # What goes into the wood, and films that are wiped off again or whose sheet says how much is wiped on; what is
      # wiped on thin and left takes its film.
      def self.flooded?(pass)
        return true unless pass.film?

        %w[wipe pad].include?(pass.method) &&
          (pass.step["wipe_off"] || pass.product.oil? || pass.product.consumption_stated?)
      end

      # Where some of it stays when a sitting is done: a key of left_behind_ml.
      # @return [String]
      def self.left_in(pass)
        method = pass.method
        return "aerosol" if pass.step["gun"] == "aerosol"
        return "flood" if method == "wipe" && flooded?(pass)
        return method unless method == "roller" && pass.piece.use == "floor"

        pass.piece.sketch&.fetch("tool") == "roller" ? method : "applicator"
      end

      # Dosed in drops and rubbed in: the film that is left on, and what the hand keeps.
      # @param pass [Planning::Pass]
      def self.rubbed?(pass)
        (pass.film? || pass.kind == "oil") && %w[wipe
                                                 pad].include?(pass.method) && !pass.step["wipe_off"] && later?(pass) &&
          Reference.mixing.rubbed.classes.include?(pass.product.class_id)
      end

      def self.rubbed_on(pass)
        left = pass.wet_um || pass.product.wet_um(pass.method)&.value
        net = pass.area_m2 * pass.count * left.to_f
        keeps = Reference.mixing.rubbed.hand_keeps
        new(net_ml: net, laid_ml: net * (1 + keeps), left_behind_ml: 0.0, margin_percent: 0.0,
            transfer_efficiency: 1 / (1 + keeps), wiped: false).freeze
      end

      # Not the first coat on its face: by its number, or with a film below.
      def self.later?(pass) = pass.coat > 1 || pass.under.any?
      private_class_method :rubbed_on, :later?, :flooded?

      # Real wet film of a coat from the pot before and after: (m_before - m_after) · TE / (density · area).
      # @return [Float] µm
      def self.film_um(used_g:, density_g_per_ml:, area_m2:, transfer_efficiency:)
        used_g * transfer_efficiency / (density_g_per_ml * area_m2)
      end

      # The shop's own transfer efficiency from the same coat and a comb reading.
      def self.own_efficiency(used_g:, density_g_per_ml:, area_m2:, wet_um:)
        wet_um * density_g_per_ml * area_m2 / used_g
      end

      # Spread in g/m² and wet film are one figure: w = g/m² / rho.
      def self.wet_um(g_per_m2, density_g_per_ml) = g_per_m2 / density_g_per_ml.to_f

      def self.efficiency(method, gun, narrow)
        share = if method == "spray" && gun
          hands.guns.fetch(gun).fetch("transfer_efficiency")
        else
          hands.transfer_efficiency.fetch(method)
        end
        narrow && method == "spray" ? share * Reference.mixing.narrow_work_factor : share
      end

      def self.hands = Reference.hands
      private_class_method :hands

      # The same pot for more.
      # @return [Laying]
      def with_laid(laid_ml) = dup.tap { |more| more.laid_ml = laid_ml }.freeze

      def gross_ml = (laid_ml + left_behind_ml) * (1 + margin_percent / 100)
    end
  end
end
