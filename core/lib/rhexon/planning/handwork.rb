module Rhexon
  module Planning
    # What a step asks of hands: minutes, training, tool, room, in how many parts, and in what sections it is wiped off.
    # Reads +@shop+ and +@piece+ of the expansion it is part of.
    module Handwork
      private

      # A coat longer than every open interval, or of more pieces than lie on the rack, is split into parts of whole
      # pieces. Each names its pieces, so that what is logged of one stays its own
      # whatever the hours are later; the pieces that are left are divided anew.
      # @return [Array<Array(Range, String)>] pieces, and how the key names them; nil for all of them
      def parts(step, coat, faces)
        whole = 0..(@piece.count - 1)
        return [ [ whole, nil ] ] unless work(step).lays?

        base = Pass.key(@piece, step, coat, faces)
        logged = @shop.log.parts_of(@piece.id).fetch(base, {})
        slices = slices(step, faces, whole.to_a)
        return [ [ whole, nil ] ] if logged.empty? && slices.one?

        fixed = logged.map { |name, range| [ range || slices[name[/\d+/].to_i - 1] || whole, name ] }.uniq
        (fixed + open_parts(step, faces, whole.to_a - fixed.flat_map { |range, _| range.to_a }))
          .sort_by { |range, _| range.begin }
      end

      # @param left [Array<Integer>] pieces that no logged part has
      def open_parts(step, faces, left)
        left.chunk_while { |one, other| other == one + 1 }
          .flat_map { |run| slices(step, faces, run) }
          .map { |range| [ range, "pieces#{range.begin + 1}-#{range.end + 1}" ] }
      end

      # @return [Array<Range>] as many pieces each as fit into the longest open interval and on the rack
      def slices(step, faces, pieces)
        room = longest(step) - Work::Hours.setup(step) - Work::Hours.cleanup(step)
        each = [ each_min(step, faces, @piece.count), scuffed_min(step, faces) ].max
        lots = each > room ? 1 : [ (pieces.size * each / room.to_f).ceil, 1 ].max
        places = @shop.rooms[dry_room(step)]&.rack_places.to_i
        lots = [ lots, (pieces.size / places.to_f).ceil ].max if places.positive?
        pieces.each_slice((pieces.size / lots.to_f).ceil).map { |slice| slice.first..slice.last }
      end

      # Each lot can be scuffed in one go, too, where it has to be.
      def scuffed_min(step, faces) = work(step).film? && @piece.count > 1 ? Scuff.each_min_of(@piece, faces) : 0

      # What cannot be wiped off in time as a whole is laid and wiped in turn. Each place waits for its own wiping:
      # with L minutes of laying, W of wiping and a pause until the first place opens, the first place waits L + pause
      # and the last W + pause.
      # @return [Integer, nil] sections of a pass; nil: laid as a whole and wiped off after it
      def sections(step, faces, count)
        return unless step["wipe_off"]

        extent = extent(step, faces)
        laying, wiping = Work::Hours.laying(step, extent), Work::Hours.wiping(step, extent)
        windows = wipe_windows(step)
        return if in_one?(windows, count * [ paced(step, laying), minutes(wiping) ].max)

        fits = ->(share) {
          windows.all? { |earliest, latest|
            longest_wait(laying * share, wiping * share, earliest) <= latest
          }
        }
        share = if fits.(1)
          (1..count).reverse_each.find { |pieces| fits.(pieces) }
        else
          1.0 / ((2..MOST_SECTIONS).find { |turns| fits.(1.0 / turns) } || MOST_SECTIONS)
        end
        (count / share.to_f).ceil
      end
      # A wiping of its own waits until the last place opens, and begins on the grid.
      # @param whole [Integer] minutes, with whole ones for each piece
      def in_one?(windows, whole)
        windows.all? { |earliest, latest| whole + earliest + Calendar::GRID <= latest }
      end

      def paced(step, exact) = minutes(exact * @shop.pace.factor(step["kind"], step["method"]))

      MOST_SECTIONS = 1000
      private_constant :MOST_SECTIONS

      def longest_wait(laying, wiping, earliest) = pause(laying, wiping, earliest) + [ laying, wiping ].max

      # Until the place that is reached soonest opens.
      def pause(laying, wiping, earliest) = [ earliest - [ laying, wiping ].min, 0.0 ].max

      # In each air of the days to come in which it can be wiped off at all.
      # @return [Array<Array(Float, Float)>] earliest and latest, minutes; empty: no limit, or none can be kept
      def wipe_windows(step)
        product = @shop.products.fetch(step["product"])
        earliest, latest = %w[wipe_off_earliest wipe_off_latest].map { |name|
          product.milestone(name, step["method"])&.value
        }
        return [] unless latest

        rates = week_of_air(room(step)).uniq.map { |climate| Drying::Rate.factors(product, "early", climate).rate }
        rates.select(&:positive?)
          .map { |rate| [ earliest.to_f / rate, latest / [ rate, 1.0 ].max ] }
          .select { |opens, shuts| opens < shuts }
      end

      # @return [Work::Extent]
      def extent(step, faces)
        Work::Extent.new(@piece, faces, hands: @shop.hands_for(skill(step), @piece.by).size, products: @shop.products)
      end

      # The air of the days to come, counted from midnight UTC so that plans of one day agree.
      def week_of_air(room)
        (@shop.now - @shop.now % 1440).then { |from| @shop.line(room).between(from, from + 8 * 1440) }
      end

      def longest(step) = @shop.hands_for(skill(step), @piece.by).map { |person| person.calendar.longest }.max || 0

      # Work that asks for training: the methods the house says, or what the step says.
      def skill(step) = step["skill"] || (step["method"] if hands.skilled_methods.include?(step["method"]))

      def tools(step)
        if step["tool"]
          [ step["tool"] ]
        else
          @shop.tools
            .select { |tool| step["method"] && tool["for"] == step["method"] && !tool["away"] }
            .map { |tool| tool["id"] }
        end
      end

      # Where its film dries.
      def dry_room(step) = step["dry_room"] || @piece.schedule["dry_room"] || room(step)

      # Where the shop has a room for it, unless the step or the schedule names one.
      def room(step)
        step["room"] || room_for(step) || @piece.schedule["room"] || @shop.rooms.keys.first
      end

      def room_for(step)
        use = work(step).room(step)
        return @shop.room_for(use) if use
        return if @piece.schedule["room"] || step["method"].nil?

        (@shop.room_for("spray") if step["method"] == "spray") || @shop.room_for("finish")
      end

      # @param count [Integer] of the alike pieces, over which sections are counted
      # @return [Integer] minutes for one of them
      def each_min(step, faces, count = 1)
        if step["wipe_off"] && work(step).lays? && sections(step, faces, count)
          return in_sections(step, faces, count)
        end
        return 0 unless work(step).hands?

        step["own_minutes"] || paced(step, work(step).minutes(step, extent(step, faces)))
      end

      # Laid, left until it opens, and wiped, turn after turn.
      def in_sections(step, faces, count)
        turns = sections(step, faces, count)
        extent = extent(step, faces)
        laying, wiping = [ Work::Hours.laying(step, extent), Work::Hours.wiping(step, extent) ].map { |one|
          one * count
        }
        pauses = turns * wipe_windows(step).map { |earliest, _| pause(laying / turns, wiping / turns, earliest) }.max
        minutes((laying + wiping + pauses) / count)
      end

      def minutes(exact) = [ (exact - 1e-9).ceil, 1 ].max

      # @return [Work::Kind]
      def work(step) = Work::Kind.find(step["kind"])

      def hands = Reference.hands
    end
  end
end
