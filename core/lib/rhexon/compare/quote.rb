module Rhexon
  module Compare
    # What a piece costs to finish: hours by phase, material, what wears out, waste, margin and tax; and what the hours
    # really came to.
    class Quote
      # @!attribute min [Float] as planned, all of the phase
      # @!attribute done_min [Float] of it, as planned, what is done by now
      # @!attribute real_min [Float] what that really took, by the log
      Phase = Struct.new(:phase, :name, :min, :done_min, :real_min, keyword_init: true)
      # @!attribute g [Float] mixed, losses included
      # @!attribute cost [Float, nil] at the cheapest pack; nil where no price is known
      Material = Struct.new(:name, :g, :cost, keyword_init: true)
      # @!attribute need [Float] so many of +unit+
      Worn = Struct.new(:name, :unit, :need, :cost, keyword_init: true)
      # Money of each line, in the order it is summed up.
      Sums = Struct.new(:labour, :material, :waste, :worn, :margin, :net, :tax, :gross, keyword_init: true)
      # What a shop sets, with the least and the most.
      TERMS = { "rate_per_h" => 0..1000, "waste_percent" => 0..100, "margin_percent" => 0..300,
                "tax_percent" => 0..50 }.freeze

      # @param terms [Hash] of TERMS; what is left out counts as nothing
      # @raise [InvalidInput]
      def self.check!(terms)
        terms.each do |name, value|
          range = TERMS[name]
          Rhexon.refuse_unless(range && (value.nil? || (value.is_a?(Numeric) && range.cover?(value))),
                               "#{name.to_s.tr("_", " ").capitalize} cannot be #{value.inspect}", where: name.to_s,
                               accepted: range ? "#{range.begin} to #{range.end}" : TERMS.keys.join(", "))
        end
      end

      # @param plan [Planning::Plan]
      # @param terms [Hash] of TERMS
      def initialize(plan, piece_id, terms)
        self.class.check!(terms)
        @plan = plan
        @placements = plan.of_piece(piece_id)
        @whole = !plan.build.blocked.key?(piece_id)
        @terms = TERMS.keys.to_h { |name| [ name, terms[name] || 0 ] }
      end

      # @return [Boolean] all of the work has its place: what has none is in no sum
      def whole? = @whole

      # @return [Array<Phase>] in the order of the work, those that have any
      def phases
        table = Reference.new_steps
        grouped = @placements.select { |one| estimate(one.pass).positive? }
          .group_by { |one| one.pass.work.phase(one.pass.step) }
        table.phases.filter_map { |id| phase(id, table.phase_names[id], grouped[id]) if grouped[id] }
      end

      # @return [Array<Material>] the dearest first
      def materials
        pours = @placements.select { |one| one.pass.leaves_something? }
          .flat_map { |one| Mixing::Outlay.pours(one.pass, @plan.shop) }
        pours.group_by { |pour| pour.component.name }.map { |name, mine| material(name, mine) }
          .sort_by { |one| [ -(one.cost || 0), one.name ] }
      end

      # @return [Array<Worn>] papers, pads, strainers
      def worn
        shop = @plan.shop
        Stock::Consumables.of(@placements.map(&:pass), shop.consumables).filter_map do |id, need|
          record = shop.consumables.find { |one| one["id"] == id }
          price = record["price"]
          Worn.new(name: record["name"], unit: record["unit"], need: need,
                   cost: price && need / (record["pack"] || 1) * price) if need.positive?
        end
      end

      # @return [Array<String>] names of what has no price: the sums are short of it
      def unpriced = (materials + worn).select { |one| one.cost.nil? }.map(&:name)

      # @return [Sums]
      def sums
        labour = phases.sum(&:min) / 60 * @terms["rate_per_h"]
        material = materials.sum { |one| one.cost || 0 }
        waste = material * @terms["waste_percent"] / 100.0
        used = worn.sum { |one| one.cost || 0 }
        cost = labour + material + waste + used
        margin = cost * @terms["margin_percent"] / 100.0
        tax = (cost + margin) * @terms["tax_percent"] / 100.0
        Sums.new(labour: labour, material: material, waste: waste, worn: used, margin: margin, net: cost + margin,
                 tax: tax, gross: cost + margin + tax)
      end

      private

      def phase(id, name, placements)
        done = placements.select { |one| one.status == "done" }
        Phase.new(phase: id, name: name, min: placements.sum { |one| estimate(one.pass) },
                  done_min: done.sum { |one| estimate(one.pass) },
                  real_min: done.sum { |one| real(one) })
      end

      # The log ends when the last is laid on; cleaning of gear is taken as it is reckoned.
      def real(placement) = placement.hands.sum { |from, to| to - from } + placement.pass.cleanup_min

      # Hands of a pass as they are reckoned, whatever it took.
      def estimate(pass) = pass.hands_min.to_f

      def material(name, pours)
        Material.new(name: name, g: pours.sum(&:g), cost: Mixing::Outlay.cost(pours, @plan.shop.products))
      end
    end
  end
end
