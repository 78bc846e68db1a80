module Rhexon
  module Checks
    module Rules
      # mix.no_hardener: a two-part product whose sheet names no hardener: as it stands it would be laid on without, and
      # never harden. A note where no sheet was taken in yet. Silent on what needs none or cures by the damp of the air.
      module MixNoHardener
        CLASSES = %w[solvent_two_part acid_catalysed epoxy_clear].freeze
        private_constant :CLASSES

        module_function

        def call(context)
          context.laid.select { |one| lacks?(one.pass) }.uniq { |one| one.pass.product.id }
            .map { |one| finding(context, one) }
        end

        def lacks?(pass)
          product = pass.product
          CLASSES.include?(product.class_id) && !product.moisture_cure? && pass.step["hardener_parts"].nil? &&
            product.mix.none? { |part| part["role"] == "hardener" }
        end

        def finding(context, laid)
          context.finding(
            "mix.no_hardener", laid.pass.product.sheet? ? "caution" : "note", "No hardener named",
            "#{laid.pass.product.name} hardens by its second part, and its page names none: as it stands it stays " \
            "soft for good. Say on its page what goes into it.",
            placement: laid, remedies: []
          )
        end
      end
    end
  end
end
