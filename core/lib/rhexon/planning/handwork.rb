module Rhexon
  module Planning
    # What a step asks of hands: minutes, training, tool, room, in how many parts, and in what sections it is wiped off.
    # Reads +@shop+ and +@piece+ of the expansion it is part of.
    module Handwork
      private

      # A coat longer than every open interval is split into parts of whole pieces. Each names its pieces, so that what is logged of one stays its own
      # whatever the hours are later; the pieces that are left are divided anew.
      # @return [Array<Array(Range, String)>] pieces, and how the key names them; nil for all of them
      def parts(step, coat, faces)
        whole = 0..(@piece.count - 1)
        return [ [ whole, nil ] ] unless %w[coat stain].include?(step["kind"])

        base = Pass.key(@piece, step, coat, faces)
        logged = @shop.parts_of(@piece).fetch(base, {})
        slices = slices(step, faces, whole.to_a)
        return [ [ whole, nil ] ] if logged.empty? && slices.one?

        fixed = logged.map { |name, range| [ range || slices[name[/\d+/].to_i - 1] || whole, name ] }.uniq
        left = whole.to_a - fixed.flat_map { |range, _| range.to_a }
        open = left.chunk_while { |one, other| other == one + 1 }.flat_map { |run| slices(step, faces, run) }
        (fixed + open.map { |range| [ range, "pieces#{range.begin + 1}-#{range.end + 1}" ] }).sort_by { |range, _| range.begin }
      end

      # @return [Array<Range>] as many pieces each as fit into the longest open interval
      def slices(step, faces, pieces)
        room = longest(step) - gear("setup_min", step) - gear("cleanup_min", step)
        each = each_min(step, faces, @piece.count)
        return [ pieces.first..pieces.last ] if each * pieces.size <= room || each > room

        share = (pieces.size / (pieces.size * each / room.to_f).ceil.to_f).ceil
        pieces.each_slice(share).map { |slice| slice.first..slice.last }
      end

      # What cannot be wiped off in time as a whole is laid and wiped in turn. Each place waits for its own wiping: with L minutes of laying, W of wiping and a pause
      # until the first place opens, the first place waits L + pause and the last W + pause.
      # @return [Integer, nil] sections of a pass; nil: laid as a whole and wiped off after it
      def sections(step, faces, count)
        return unless step["wipe_off"]

        laying, wiping = laying_min(step, faces), wiping_min(faces)
        earliest, latest = wipe_window(step)
        return if latest.nil? || earliest >= latest || longest_wait(laying * count, wiping * count, earliest) + Calendar::GRID <= latest

        fits = ->(share) { longest_wait(laying * share, wiping * share, earliest) <= latest }
        share = fits.(1) ? (1..count).reverse_each.find { |pieces| fits.(pieces) } : 1.0 / ((2..MOST_SECTIONS).find { |turns| fits.(1.0 / turns) } || MOST_SECTIONS)
        (count / share.to_f).ceil
      end
      MOST_SECTIONS = 1000
      private_constant :MOST_SECTIONS

      def longest_wait(laying, wiping, earliest) = pause(laying, wiping, earliest) + [ laying, wiping ].max

      # Until the place that is reached soonest opens.
      def pause(laying, wiping, earliest) = [ earliest - [ laying, wiping ].min, 0.0 ].max

      # @return [Array(Float, Float)] earliest and latest, minutes in the air of the days to come: the earliest where it is slowest, the latest where it is fastest
      def wipe_window(step)
        product = @shop.products.fetch(step["product"])
        earliest, latest = %w[wipe_off_earliest wipe_off_latest].map { |name| product.milestone(name, step["method"])&.value }
        return [ 0.0, nil ] unless latest

        slow, fast = week_of_air(room(step)).map { |climate| Drying::Rate.factors(product, "early", climate).rate }.minmax
        [ earliest.to_f / [ slow, 0.1 ].max, latest / [ fast, 1.0 ].max ]
      end

      def laying_min(step, faces) = @piece.area_m2(faces) / rate_m2_per_h(step) * 60.0
      def wiping_min(faces) = @piece.area_m2(faces) * hands.fetch("wipe_off_min_per_m2").to_f

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

      # @param count [Integer] of the alike pieces, over which sections are counted
      # @return [Integer] minutes for one of them
      def each_min(step, faces, count = 1)
        area = @piece.area_m2(faces)
        return in_sections(step, faces, count) if step["wipe_off"] && %w[coat stain].include?(step["kind"]) && sections(step, faces, count)

        case step["kind"]
        when "wait" then 0
        when "coat", "stain" then minutes(laying_min(step, faces))
        when "sand" then minutes(area * abrasion("sand") * step["grits"].size)
        when "level" then minutes(step["aim"] == "rub_out" ? area * abrasion("rub_out") * step["grits"].size : area * abrasion("level"))
        when "raise_grain" then minutes(area * abrasion("raise_grain"))
        when "look" then minutes(hands.fetch("look_min"))
        end
      end

      # Laid, left until it opens, and wiped, turn after turn.
      def in_sections(step, faces, count)
        turns = sections(step, faces, count)
        laying, wiping = laying_min(step, faces) * count, wiping_min(faces) * count
        minutes((laying + wiping + turns * pause(laying / turns, wiping / turns, wipe_window(step).first)) / count)
      end

      def minutes(exact) = [ (exact - 1e-9).ceil, 1 ].max

      def rate_m2_per_h(step)
        step["method"] == "spray" && step["gun"] ? hands.fetch("guns").fetch(step["gun"]).fetch("rate_m2_per_h") : hands.fetch("rate_m2_per_h").fetch(step["method"])
      end

      def gear(kind, step) = step["method"] ? hands.fetch(kind).fetch(step["method"]) : 0

      def abrasion(kind) = hands.fetch("abrasion_min_per_m2").fetch(kind)

      def hands = Reference.table("hands")
    end
  end
end
