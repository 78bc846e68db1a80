module Rhexon
  module Checks
    module Rules
      # mix.no_hardener: a two-part product whose sheet names no hardener: it would be applied without one, and never
      # harden. A note where no sheet was taken in yet. Silent on what needs none or cures by the damp of the air.
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
            "#{laid.pass.product.name} needs a hardener, and its page names none: without one it stays soft. " \
            "Name the hardener on its page.",
            placement: laid, remedies: []
          )
        end
      end
    end
  end
end
