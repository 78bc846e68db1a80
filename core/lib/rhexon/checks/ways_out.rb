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
        when "hours" then quicker_methods
        else []
        end
      end

      # @return [Remedy, nil] the window given up; asked for as it stands, its date is seen in the preview
      def without_window
        flag = WINDOWS.keys.find { |name| @step[name] } or return
        @context.remedy(WINDOWS.fetch(flag), set(@step, flag => nil))
      end

      def quicker_methods
        product = @context.shop.products[@step["product"]] or return []
        usable = @context.shop.usable(Schedule::Kinds.methods(@step["kind"], product))
        (usable - [ @step["method"] ]).map do |method|
          film = @step["kind"] == "coat" ? { "wet_um" => product.wet_um(method).value } : {}
          @context.remedy("Have it #{Materials::Methods::DONE.fetch(method)}",
                          set(@step, "method" => method, "gun" => nil, **film))
        end
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
