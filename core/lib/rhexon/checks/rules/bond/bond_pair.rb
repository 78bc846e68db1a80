module Rhexon
  module Checks
    module Rules
      # bond.pair, bond.lifting: a film straight over one that it does not hold on, or that its solvents lift. Silent
      # for a material over its own class, where something lies between or the lower one has cured, over an old finish
      # that a test has named, and where the sheet of the lower one gives a wait for the pair.
      module BondPair
        OLD = {
          "barrier" => true, "why" => "Nobody knows what it is, and hot solvents lift many an old finish."
        }.freeze

        module_function

        def call(context)
          context.walks.values
            .flat_map { |walk| walk.snapshots.filter_map { |moment| on_face(context, walk, moment) } }
            .uniq(&:step)
        end

        def on_face(context, walk, moment)
          upper, below = moment.placement, moment.before.layers.reverse.find(&:left?)
          return if below.nil? || !upper.pass.film? || upper.pass.inserted

          found = below.pass == Work::Start::PASS
          lower = found ? named(context, walk, below) : context.shop.products[below.product_id]
          row = lower ? Materials::Pairs.refused(lower, upper.pass.product) : (OLD if lifts?(upper)) or return
          return if row.key?("until") && found

          from = passes_at(context, row, context.placement_of(below.pass))
          finding(context, upper, lower, row, from) unless from && upper.work_start >= from
        end

        def named(context, walk, below)
          family = walk.bare.found["family"]
          context.shop.products[below.product_id] || (family && Work::Start.stand_in(family))
        end

        def lifts?(upper) = Materials::Pairs.hot?(upper.pass.product)

        # @return [Integer, nil] the minute from which it holds; nil: never, or nobody knows
        def passes_at(context, row, lower)
          return unless lower
          return lower.work_end + row["days"] * 1440 if row["days"]

          context.plan.drier.reached_at(lower, row["until"]) if row["until"]
        end

        def finding(context, upper, lower, row, from)
          old = lower.nil? || lower.id == Work::Start::PASS
          sentence = "#{context.title(upper)} goes straight over #{old ? "the old finish" : lower.name}. " \
                     "#{row["why"]}"
          sentence += " It may go on from #{context.clock(from)}." if from
          context.finding(
            row["until"] || row.equal?(OLD) ? "bond.lifting" : "bond.pair", "stop",
            row["until"] || row.equal?(OLD) ? "It lifts what is below" : "It does not hold on that", sentence,
            placement: upper, figures: { lower: lower&.name, upper: upper.pass.product.name, from: from }.compact,
            remedies: remedies(context, upper, lower, row)
          )
        end

        def remedies(context, upper, lower, row)
          return [] unless upper.status == "planned"

          [ barrier(context, upper, lower, row), later(context, upper, row) ]
        end

        def barrier(context, upper, lower, row)
          if row["barrier"]
            context.barrier_under(upper, lower, "Seal with %s in between")
          else
            context.ruled_out("A barrier in between", "it would not hold either")
          end
        end

        def later(context, upper, row)
          wait = if row["until"] then { "milestone" => row["until"] }
          elsif row["days"] then { "minutes" => row["days"] * 1440 }
          end
          label = row["days"] ? "Wait #{row["days"]} days" : "Wait until it has cured"
          wait && context.put_before(upper.pass.step, label, { "kind" => "wait", **wait })
        end
      end
    end
  end
end
