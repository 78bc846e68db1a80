module Rhexon
  module Checks
    module Rules
      # bond.gloss_unsanded: the first that is laid on over a film that was there before, and nothing has sanded that.
      # Silent over bare and stripped wood, where it was sanded, scuffed or stripped first, and for what melts into what
      # is there: shellac on shellac, lacquer on lacquer.
      module BondGlossUnsanded
        module_function

        def call(context)
          context.walks.filter_map { |_, walk| on_face(context, walk) }.uniq(&:pass)
        end

        def on_face(context, walk)
          found = walk.bare.layers.last or return
          first = walk.course.index { |moment| moment.placement.pass.leaves_something? } or return
          before, laid = walk.course.first(first), walk.course[first]
          pass = laid.placement.pass
          return if laid.before.bare? || before.any? { |moment| moment.removed_um.positive? }
          return if pass.kind == "wax" || melts?(found, pass.product)

          finding(context, laid.placement)
        end

        def melts?(found, product) = found.redissolves && found.family == product.family

        def finding(context, placement)
          context.finding(
            "bond.gloss_unsanded", "stop", "It has nothing to hold on to",
            "#{context.title(placement)} goes over a film that was there before and was not sanded: a hardened film " \
            "gives no key, and what goes over it peels.",
            placement: placement, remedies: [ sanded(context, placement) ]
          )
        end

        def sanded(context, placement)
          return unless placement.status == "planned"

          context.put_before(placement.pass.step, "Scuff it first",
                             { "kind" => "level", "aim" => "scuff", "grits" => [ "P320" ] })
        end
      end
    end
  end
end
