module Rhexon
  module Checks
    module Rules
      # bond.adhesion: what is on the piece came off in a test, and something is to go over it. Silent where it holds,
      # and once it is stripped.
      module BondAdhesion
        module_function

        def call(context)
          come_off = context.measured("adhesion").select { |_, fact| fact.answer == "comes_off" }
          come_off.last(1).filter_map do |measure, _|
            after = context.document["steps"].drop_while { |step| step["id"] != measure.pass.step["id"] }.drop(1)
            next if after.none? { |step| Work::Steps.covers?(step) } || after.any? { |step| step["kind"] == "strip" }

            context.finding(
              "bond.adhesion", "stop", "What is under it does not hold",
              "The film came off in the test, so all that goes over it comes off with it.",
              placement: measure, remedies: [ strip(context, measure) ]
            )
          end
        end

        def strip(context, measure)
          return unless context.document["steps"].any? { |step| step["id"] == measure.pass.step["id"] }

          context.put_after(measure.pass.step, "Strip it first", { "kind" => "strip", "way" => "scraping" })
        end
      end
    end
  end
end
