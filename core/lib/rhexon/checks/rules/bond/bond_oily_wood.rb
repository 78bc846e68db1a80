module Rhexon
  module Checks
    module Rules
      # bond.oily_wood: varnish, hardwax oil or epoxy straight on a wood whose own oils keep it from hardening, or from
      # holding. Silent on other woods, where it was wiped with solvent just before, over anything that was laid on
      # first, and for oil and whatever is wiped off again.
      module BondOilyWood
        SOFT = "hardening: it stays tacky next to the wood, and peels".freeze
        LOOSE = "holding: it lets go of it in time".freeze

        module_function

        def call(context)
          return [] unless oily?(context) && context.walks.values.all? { |walk| walk.bare.bare? }

          first = context.course.laid.find(&:lays?)
          first&.first && !first.begun? && stays_soft?(first) && !wiped?(context,
                                                                         first) ? [ finding(context, first) ] : []
        end

        # As its batch is, as its kind is known, or by its name.
        def oily?(context)
          said = context.piece.wood_facts["oily"]
          return said unless said.nil?

          context.course.wood&.oily || Colour::Wood.oily_name?(context.piece.named_wood)
        end

        def stays_soft?(one)
          return true if %w[epoxy_clear hardwax_oil].include?(one.product.class_id)

          one.coat? && one.product.mechanism == "oxidative" && !one.product.oil? && !one.step["wipe_off"]
        end

        def wiped?(context, first)
          before = context.course.steps.take_while { |step| !step.equal?(first.step) }
          before.any? { |step| step["kind"] == "clean" && step["way"] == "solvent_wipe" }
        end

        def finding(context, first)
          wood, name = context.piece.named_wood || context.course.wood.species, first.product.name
          context.finding(
            "bond.oily_wood", "caution", "It may never dry",
            "#{wood.capitalize} holds oils that keep #{name} from #{epoxy?(first) ? LOOSE : SOFT}. " \
            "Take the oil off the surface with a fast solvent just before#{", or lock it in" if sealed?(first)}.",
            placement: first.first, figures: { wood: wood },
            remedies: [
              context.put_before(first.step, "Wipe with solvent just before it",
                                 { "kind" => "clean", "way" => "solvent_wipe" }),
              (context.barrier_under(first.first, nil, "Seal it with %s") if sealed?(first))
            ]
          )
        end

        def epoxy?(first) = first.product.class_id == "epoxy_clear"

        # Hardwax oil has to get into the wood, and epoxy holds on it alone.
        def sealed?(first) = !epoxy?(first) && first.product.class_id != "hardwax_oil"
      end
    end
  end
end
