module Rhexon
  module Checks
    module Rules
      # safety.lead: a test at the bench showed lead. Silent where none was made or none is shown: what may be under an
      # old finish is a caution of the step.
      module SafetyLead
        module_function

        def call(context)
          context.measured("lead").select { |_, fact| fact.answer == "lead" }.last(1).map do |measure, _|
            context.finding(
              "safety.lead", "stop", "Lead in the old paint",
              "The test showed lead: sanding, scraping or heating it puts it into the air and into hands and food. " \
              "Leave it as it is; licensed work and local law decide how it goes on.",
              placement: measure, remedies: []
            )
          end
        end
      end
    end
  end
end
