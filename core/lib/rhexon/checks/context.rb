module Rhexon
  module Checks
    # What a check may look at: one piece of a plan.
    class Context
      attr_reader :plan, :piece

      def initialize(plan, piece_id)
        @plan = plan
        @piece = plan.piece(piece_id)
      end

      def shop = plan.shop
      def placements = plan.of_piece(piece.id)
      def coats = placements.select { |placement| placement.pass.film? }
      def document = piece.schedule

      # @return [Course] of the face that is shown
      def course = @course ||= Course.new(self)

      # Passes that lay something on and are not done.
      def laid = placements.select { |placement| placement.pass.leaves_something? && placement.status != "done" }

      # Batches that serve this piece.
      # @return [Array<Mixing::Batches::Batch>]
      def own_batches = plan.batches.select { |batch| placement_of(batch.passes.first) }

      # What the shelf must give for work of which this piece has a part.
      # @return [Array<Stock::Shopping::Line>]
      def shopping_lines
        plan.shopping ? plan.shopping.lines.select { |line| line.passes.any? { |key, _| placement_of(key) } } : []
      end

      # @return [Planning::Placement, nil] of this piece
      def placement_of(key) = (@by_key ||= placements.to_h { |placement| [ placement.pass.key, placement ] })[key]

      # @return [Float] g on the shelf that are good at that minute
      def stock_g(product_id, minute)
        shop.stock
          .select { |batch|
            batch.product == product_id && batch.free? &&
              batch.good_on?(shop.zone.date(minute))
          }.sum(&:g)
      end

      # Measures that are done.
      # @param way [String]
      # @return [Array<Array(Planning::Placement, Planning::PassLog)>] in working order
      def measured(way)
        measures = placements.select { |one| one.pass.kind == "measure" && one.pass.step["way"] == way }
        measures.filter_map { |one| (fact = shop.facts[one.pass.key]) && [ one, fact ] }
      end

      def walks = piece.faces.keys.to_h { |face| [ face, plan.film(piece.id, face) ] }
      # @return [Drying::Climate] when the work begins
      def climate(placement, room = placement.pass.dry_room) = shop.line(room).at(placement.work_start)

      # @return [Array<Materials::Product>] on the shelf and not retired, in a steady order
      def shelf = shop.products.values.reject(&:retired?).sort_by { |product| [ product.to_buy? ? 1 : 0, product.id ] }

      def finding(id, level, title, sentence, placement: nil, figures: {}, remedies: [])
        Finding.new(id: id, level: level, title: title, sentence: sentence, step: placement&.pass&.step&.fetch("id"),
                    pass: placement&.pass&.key, figures: figures, remedies: remedies)
      end

      def remedy(label, operation) = Remedy.new(label: label, operation: operation)

      # What one would think of, and why it does not work.
      def ruled_out(label, why) = Remedy.new(label: label, why_not: why)

      # A remedy that fixes when a pass begins, or lets the plan place it.
      # @param start [Integer, nil]
      def pin(label, placement, start)
        pass = placement.pass
        faces = Planning::Turns.for(piece, pass.step).first.faces == pass.faces ? {} : { "faces" => pass.faces }
        remedy(
          label,
          {
            "op" => "pin", "id" => pass.step["id"], "coat" => pass.coat, "start" => start && shop.zone.iso(start),
            **faces
          }
        )
      end

      # The first minute from which somebody who may do the pass is there long enough.
      # @return [Integer, nil]
      def attended(placement, start)
        pass = placement.pass
        shop.hands_for(pass.skill, piece.by).filter_map do |person|
          open = person.calendar.from(start).find { |from, to| [ from, start ].max + pass.hands_min <= to }
          open && [ open[0], start ].max
        end.min
      end

      # A step put in, on the faces of another.
      # @param beside [Hash] the step whose faces it is for
      # @param fields [Hash] of the new step; a list: several, one after the other
      def put_before(beside, label, fields)
        before = document["steps"].take_while { |step| step["id"] != beside["id"] }.last
        put_after(before, label, fields, faces: beside["faces"])
      end

      # @param step [Hash, nil] nil: at the beginning
      def put_after(step, label, fields, faces: step && step["faces"])
        first = Schedule::Edit.free_id(document)
        ids = [ first, "#{first}a", "#{first}b" ]
        operations = [ fields ].flatten.each_with_index.map do |own, index|
          { "op" => "add_step", "after" => index.zero? ? step && step["id"] : ids[index - 1],
            "step" => { "id" => ids[index], **own, **(faces ? { "faces" => faces } : {}) } }
        end
        remedy(label, operations.one? ? operations.first : { "op" => "all", "operations" => operations })
      end

      # A remedy that is not a change of the schedule: a place to go to.
      # @param place [String] "product", "shelf", "shopping", "trial" (a new one), "colour" (the desk),
      #   "ways" or "piece"
      def go(label, place, product_id = nil)
        Remedy.new(label: label, place: { "name" => place, "product" => product_id })
      end

      # @return [Materials::Product, nil] shellac without wax
      def dewaxed = shelf.find { |product| product.class_id == "shellac" && !product.waxy? }

      # What is put between two that do not get on: the barrier of the house where the shelf has it and it holds on
      # both, else dewaxed shellac.
      # @param below [Materials::Product, nil] nil: wood, or an old finish
      # @param above [Materials::Product]
      # @return [Materials::Product, nil]
      def barrier(below, above)
        own = shelf.find { |product| BARRIERS.fetch(piece.house["barrier"]).call(product) }
        own && holds?(below, own) && holds?(own, above) ? own : dewaxed
      end

      BARRIERS = {
        "shellac" => ->(product) { product.class_id == "shellac" && !product.waxy? },
        "vinyl" => ->(product) { product.class_id == "vinyl_sealer" },
        "blocker" => ->(product) { product.waterborne? && product.role == "barrier" && product.film? }
      }.freeze
      private_constant :BARRIERS

      # A seal coat of what the house puts in between, or why there is none.
      # @param below [Materials::Product, nil] nil: wood, or an old finish
      # @param words [String] "Seal with %s in between"
      def barrier_under(placement, below, words)
        product = barrier(below, placement.pass.product)
        return ruled_out(format(words, "dewaxed shellac"), "none is on the shelf") unless product

        seal_under(placement, product, format(words, product.name))
      end

      # A seal coat of a product under the step of a placement.
      # @param faces [Array<String>, nil] those it goes on; nil: all
      # @param set [Hash] other fields of its step
      def seal_under(placement, product, label, faces: placement.pass.step["faces"], **set)
        known = product.methods_known
        method = [ placement.pass.method ] & known
        method = (method + shop.usable(known) + known).first
        seal = {
          "id" => Schedule::Edit.free_id(document), "kind" => "coat", "role" => "seal", "product" => product.id,
          "method" => method, "wet_um" => product.wet_um(method).value, "coats" => 1,
          **(faces ? { "faces" => faces } : {}), **set
        }
        before = document["steps"].take_while { |step| step["id"] != placement.pass.step["id"] }.last
        remedy(label, { "op" => "add_step", "after" => before && before["id"], "step" => seal })
      end

      # @param step [Hash]
      # @return [Remedy]
      def leave_out(step) = remedy("Leave this step out", { "op" => "remove_step", "id" => step["id"] })

      # Sets fields of the placement's step. Coats of the step that are done stay as they were: the rest is split off
      # first.
      def change(placement, label, set)
        step = placement.pass.step
        done = placements
          .select { |other| other.pass.step.equal?(step) && !other.pass.inserted && other.status != "planned" }
          .map { |other| other.pass.coat }.max
        change = { "op" => "change_step", "id" => step["id"], "set" => set }
        return remedy(label, change) if done.nil? || set.keys == [ "coats" ]
        return if done >= (step["coats"] || 1)

        rest = Schedule::Edit.free_id(document)
        remedy(
          label,
          {
            "op" => "all",
            "operations" => [
              { "op" => "split_coats", "id" => step["id"], "keep" => done, "new_id" => rest },
              change.merge("id" => rest)
            ]
          }
        )
      end

      # Short, since it holds the whole plan.
      def inspect = "#<#{self.class} #{piece.id}>"

      # @return [String] "Wed 25 Nov 10:30" in the shop's zone
      def clock(minute) = minute ? shop.zone.label(minute) : "never"

      def duration(minutes) = Units.duration(minutes)

      # @return [String] "coat 2 of W20 clear" or the step in words
      def name(placement)
        step = placement.pass.step
        return "the scuff before #{name(scuffed_for(placement))}" if placement.pass.kind == "scuff"

        return "coat #{placement.pass.coat} of #{placement.pass.product.name}" if (step["coats"] || 1) > 1

        Schedule::Words.step(step, placement.pass.product&.name)
      end

      # @return [Planning::Placement] the coat that a scuff was put in for
      def scuffed_for(scuff)
        plan.build.by_index.compact.find { |coat| coat.pass.key == Planning::Scuff.served(scuff.pass) }
      end

      # The same at the head of a sentence.
      def title(placement) = name(placement).then { |words| words[0].upcase + words[1..] }

      # @param below [Materials::Product, nil] nil: wood, or an old finish
      # @return [Boolean] by its kind, within its window or scuffed
      def holds?(below, above)
        below.nil? || %w[holds scuff].include?(Materials::Over.new(below, above).answer.verdict)
      end

      # Done in another room, in whose air the block holds; or why there is none.
      # @param wanted [String] "warm enough", of the room
      # @yieldparam climate [Drying::Climate]
      def elsewhere(placement, wanted)
        others = shop.rooms.except(placement.pass.room)
        room, = others.find { |_, other| yield(other.line.at(placement.work_start)) }
        return (ruled_out("Another room", "none is #{wanted} then") if others.any?) unless room

        air = climate(placement, room)
        there = "#{format("%g", air.t_c.round(1))} °C, #{format("%g", air.rh.round(1))} % RH"
        change(placement, "Do it in the #{room} (#{there})", { "room" => room })
      end
    end
  end
end
