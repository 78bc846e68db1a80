module Rhexon
  module Checks
    module Rules
      # bond.over_wax, bond.over_oil_residue, bond.over_stripper: what is laid over wax, over an oil that a film was
      # rubbed with, or over what a stripper left does not hold. Silent for wax over wax, and where it was wiped or
      # washed off; of the coats of one step the first is told.
      module BondOverResidue
        IDS = { "wax" => "bond.over_wax", "oil" => "bond.over_oil_residue", "stripper" => "bond.over_stripper" }.freeze
        LIES = {
          "wax" => "wax", "oil" => "the oil it was rubbed with", "stripper" => "what the stripper left"
        }.freeze

        module_function

        def call(context)
          context.walks.values
            .flat_map { |walk| walk.course.filter_map { |moment| finding(context, moment) } }
            .uniq(&:step)
        end

        def finding(context, moment)
          pass, residue = moment.placement.pass, moment.before.residue
          return if !IDS.key?(residue) || !pass.leaves_something? || pass.kind == "wax" || pass.inserted

          context.finding(
            IDS.fetch(residue), "stop", "It will not hold",
            "#{context.title(moment.placement)} goes over #{LIES.fetch(residue)}, and nothing bonds to that.",
            placement: moment.placement, figures: { residue: residue }, remedies: [ cleaned(context, moment, residue) ]
          )
        end

        def cleaned(context, moment, residue)
          return unless moment.placement.status == "planned"

          step = { "kind" => "clean", "way" => Work::Kinds::Clean.way_for(residue) }
          context.put_before(moment.placement.pass.step, "#{Schedule::Words.step(step)} before it", step)
        end
      end
    end
  end
end
