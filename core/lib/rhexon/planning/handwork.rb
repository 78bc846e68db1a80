module Rhexon
  module Planning
    # What a step asks of hands: minutes, training, tool, room, and in how many parts.
    # Reads +@shop+ and +@piece+ of the expansion it is part of.
    module Handwork
      private

      # A coat longer than every open interval is split into parts of whole pieces.
      def parts(step, faces)
        whole = 0..(@piece.count - 1)
        return [ whole ] unless %w[coat stain].include?(step["kind"])

        room = longest(step) - gear("setup_min", step) - gear("cleanup_min", step)
        each = each_min(step, faces)
        most = step["wipe_off"] ? before_it_is_tacky(step, each) : @piece.count
        return [ whole ] if (each * @piece.count <= room || each > room) && @piece.count <= most

        share = [ each > room ? @piece.count : (@piece.count / (@piece.count * each / room.to_f).ceil.to_f).ceil, most ].min
        whole.each_slice(share).map { |slice| slice.first..slice.last }
      end

      # As many pieces as can be flooded before the first of them must be wiped off.
      def before_it_is_tacky(step, each)
        product = @shop.products.fetch(step["product"])
        earliest, latest = %w[wipe_off_earliest wipe_off_latest].map { |name| product.milestone(name)&.value }
        return @piece.count unless latest

        slow, fast = week_of_air(room(step)).map { |climate| Drying::Rate.factors(product, "early", climate).rate }.minmax
        [ ((latest / [ fast, 1.0 ].max - earliest.to_f / [ slow, 0.1 ].max - Calendar::GRID) / each).floor + 1, 1 ].max
      end

      # The air of the days to come, counted from midnight UTC so that plans of one day agree.
      def week_of_air(room) = (@shop.now - @shop.now % 1440).then { |from| @shop.line(room).between(from, from + 8 * 1440) }

      def longest(step) = @shop.hands_for(skill(step), @piece.by).map { |person| person.calendar.longest }.max || 0

      # Work that asks for training: the methods the house says, or what the step says.
      def skill(step) = step["skill"] || (step["method"] if hands.fetch("skilled_methods").include?(step["method"]))

      def tools(step) = step["tool"] ? [ step["tool"] ] : @shop.tools.select { |tool| step["method"] && tool["for"] == step["method"] && !tool["away"] }.map { |tool| tool["id"] }

      # Where the shop has a room for it, unless the step or the schedule names one.
      def room(step)
        step["room"] || room_for(step) || @piece.schedule["room"] || @shop.rooms.keys.first
      end

      def room_for(step)
        return @shop.room_for("sand") if %w[sand level].include?(step["kind"])
        return if @piece.schedule["room"] || step["method"].nil?

        (@shop.room_for("spray") if step["method"] == "spray") || @shop.room_for("finish")
      end

      def each_min(step, faces)
        area = @piece.area_m2(faces)
        case step["kind"]
        when "wait" then 0
        when "coat", "stain" then minutes(area / rate_m2_per_h(step) * 60)
        when "sand" then minutes(area * abrasion("sand") * step["grits"].size)
        when "level" then minutes(step["aim"] == "rub_out" ? area * abrasion("rub_out") * step["grits"].size : area * abrasion("level"))
        when "raise_grain" then minutes(area * abrasion("raise_grain"))
        when "look" then minutes(hands.fetch("look_min"))
        end
      end

      def minutes(exact) = [ exact.ceil, 1 ].max

      def rate_m2_per_h(step)
        step["method"] == "spray" && step["gun"] ? hands.fetch("guns").fetch(step["gun"]).fetch("rate_m2_per_h") : hands.fetch("rate_m2_per_h").fetch(step["method"])
      end

      def gear(kind, step) = step["method"] ? hands.fetch(kind).fetch(step["method"]) : 0

      def abrasion(kind) = hands.fetch("abrasion_min_per_m2").fetch(kind)

      def hands = Reference.table("hands")
    end
  end
end
