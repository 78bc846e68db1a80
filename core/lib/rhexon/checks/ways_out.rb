module Rhexon
  module Checks
    # What would give a piece without a date one. Each way is planned anew (Proofs), and offered only where a date comes
    # of it.
    class WaysOut
      WINDOWS = {
        "one_batch" => "Mix a pot for each coat", "wet_on_wet" => "Let each coat wait for its window",
        "while_soft" => "Level when it is dry to sand", "wipe_off" => "Lay on so little that nothing is wiped off"
      }.freeze

      # @param context [Context]
      # @param step [Hash] the one that cannot be planned
      def initialize(context, step)
        @context = context
        @step = step
      end

      # @param constraint [String] what it fails on: hard_window, rack, hours, milestone or search
      # @param passes [Integer, nil] how many may be planned
      # @return [Ways]
      def for(constraint, passes)
        proofs = Proofs.new(@context, thought_of(constraint), passes: passes)
        given_up = without_window if constraint == "hard_window"
        Ways.new(remedies: [ given_up, *proofs.found ].compact, untried: proofs.untried)
      end

      private

      def thought_of(constraint)
        case constraint
        when "hard_window" then hardener_shares
        when "rack" then other_rooms
        when "hours" then quicker_methods + other_hours
        else []
        end
      end

      # @return [Remedy, nil] the window given up; asked for as it stands, its date is seen in the preview
      def without_window
        flag = WINDOWS.keys.find { |name| @step[name] } or return
        @context.remedy(WINDOWS.fetch(flag), set(@step, flag => nil))
      end

      # The same way for all that is applied like the step, as what is too long here is too long there.
      def quicker_methods
        product = @context.shop.products[@step["product"]] or return []
        kind_of = ->(step) { step.values_at("kind", "method") }
        alike = @context.document["steps"].select { |step| kind_of.(step) == kind_of.(@step) }
        usable = @context.shop.usable(Schedule::Kinds.methods(@step["kind"], product) & product.methods_known)
        (usable - [ @step["method"] ]).reject { |method| thin?(product, method) }.map do |method|
          changes = alike.filter_map { |step| applied(step, method) }
          @context.remedy("Have it #{Materials::Methods::DONE.fetch(method)}",
                          changes.one? ? changes.first : { "op" => "all", "operations" => changes })
        end
      end

      # A film of less than half is another schedule: who brushes varnish is not helped by wiping it. An estimate.
      def thin?(product, method) = @step["kind"] == "coat" && product.wet_um(method).value < @step["wet_um"] / 2.0

      def applied(step, method)
        product = @context.shop.products[step["product"]] or return
        return unless Schedule::Kinds.methods(step["kind"], product).include?(method)

        set(step, Schedule::Swap.method_set(step, product, method))
      end

      # What no schedule says: how long somebody is there at a time, and how large a face is.
      # @return [Array<Proofs::Elsewhere>]
      def other_hours
        through = Proofs::Elsewhere.new(label: "Work through the break", place: { "name" => "shop" }, shop: -> {
          @context.shop.with_weeks { |week| week.transform_values { |day| through(day) } }
        })
        [ (through if @context.shop.breaks?), *in_parts ].compact
      end

      def through(day) = day.empty? ? day : [ [ day.first[0], day.last[1] ] ]

      # More parts than this are no way to coat a face. An estimate.
      MOST_PARTS = 4
      private_constant :MOST_PARTS

      # Its largest face in as many parts as the time there is asks for.
      # @return [Array<Proofs::Elsewhere>] one, or none
      def in_parts
        pass, there = NoDate.longest_go(@context, @step)
        return [] unless pass

        left = there - pass.setup_min - pass.cleanup_min
        count = left.positive? ? (pass.each_min / left.to_f).ceil : 0
        begun = @context.placements.any? { |one| one.status != "planned" }
        return [] if begun || !count.between?(2, MOST_PARTS)

        [ Proofs::Elsewhere.new(label: "Coat it in #{count} parts, each a face of its own",
                                place: { "name" => "piece" },
                                shop: -> { @context.shop.with_piece(parted(pass.faces, count)) }) ]
      end

      # @return [Hash] the piece of rhexon-shop/1
      def parted(faces, count)
        record = @context.shop.record_of(@context.piece.id)
        whole = record["faces"].select { |face| faces.include?(face["id"]) }.max_by { |face| face["area_m2"] }
        parts = Array.new(count) do |at|
          whole.merge("id" => "#{whole["id"]} #{at + 1}", "area_m2" => whole["area_m2"] / count.to_f)
        end
        record.merge("faces" => record["faces"].flat_map { |face| face.equal?(whole) ? parts : [ face ] },
                     "schedule" => named(record["schedule"], whole["id"], parts.map { |part| part["id"] }))
      end

      # The schedule with these names where it names the whole face; where it names none, it is of all of them.
      def named(schedule, whole, parts)
        steps = schedule["steps"].map do |step|
          faces = step["faces"]&.flat_map { |id| id == whole ? parts : [ id ] }
          faces ? step.merge("faces" => faces) : step
        end
        schedule.merge("steps" => steps)
      end

      # Rooms in which the work can dry.
      def other_rooms
        laid = @context.document["steps"].select { |step| Work::Steps.lays?(step) }
        @context.shop.rooms.each_value.reject { |room| room.rack_places&.zero? }.filter_map do |room|
          moved = laid.map { |step| set(step, "dry_room" => room.id) }
          @context.remedy("Let it dry in the #{room.id}", { "op" => "all", "operations" => moved })
        end
      end

      # Hardener at either end of its range, where the sheet gives pot life and cure there.
      def hardener_shares
        @context.document["steps"].select { |step| step["kind"] == "coat" }.flat_map do |step|
          product = @context.shop.products[step["product"]]
          ends = product.pot_life_by_hardener unless product.class_id == "epoxy_clear"
          (ends || []).map do |parts, _|
            @context.remedy("Use #{format("%g", parts)} parts of hardener", set(step, "hardener_parts" => parts))
          end
        end
      end

      def set(step, fields) = { "op" => "change_step", "id" => step["id"], "set" => fields }
    end
  end
end
