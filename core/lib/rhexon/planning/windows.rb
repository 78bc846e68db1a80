module Rhexon
  module Planning
    # How a coat meets the windows of the coats below it.
    # Reads +@shop+, +@drier+, +@placed+, +@scuffed+ and +@relaxed+ of the builder it is part of.
    module Windows
      private

      # Sets window and inside of a coat placement.
      # @param scuff [Placement, nil] a scuff placed right before it
      def meet_window(placement, scuff = nil)
        found = placement.pass.under.filter_map { |index| @placed[index] && window(placement, @placed[index], scuff) }
        placement.window = Window.worst(found)
        placement.inside = found.all? { |window| window.closes_at.nil? || placement.work_start <= window.closes_at }
      end

      def window(placement, lower, scuff)
        opens = @drier.reached(lower, "recoat_opens", @drier.pair_min(lower.pass.product, placement.pass.product))&.reached_at
        closes = @drier.closes_at(lower)
        start = placement.work_start
        state = if opens && start < opens then "too_soon"
        elsif scuff || freshly_scuffed?(placement, lower) then "scuffed"
        elsif closes && start > closes then "over"
        else "open"
        end
        Window.new(of: lower.pass, opens_at: opens, closes_at: closes, state: state)
      end

      # Any dry abrasion of the whole face after its last coat, not older than the house rule allows.
      def freshly_scuffed?(placement, lower)
        ends = (placement.pass.abraded_by[lower.pass.index] || []).filter_map { |index| @placed[index]&.hands_end }
        ends << @scuffed[placement.pass.key].hands_end if @scuffed[placement.pass.key]
        ends.any? { |finish| finish >= lower.work_end && finish <= placement.work_start && placement.work_start <= finish + placement.pass.piece.house.fetch("scuff_valid_min") }
      end

      def scuff_first?(placement)
        window = placement.window
        return false if @relaxed || window.nil? || @scuffed[placement.pass.key]
        return placement.pass.piece.house.fetch("missed_window") == "scuff" if window.state == "over"

        window.state == "open" && school_wants_scuff?(placement)
      end

      def school_wants_scuff?(placement)
        below = placement.pass.under.filter_map { |index| @placed[index] }.reject { |lower| lower.pass.product.redissolves? }
        case placement.pass.piece.house.fetch("scuff")
        when "always" then below.any?
        when "after_a_night" then below.any? { |lower| @shop.zone.date(lower.work_end) != @shop.zone.date(placement.work_start) }
        else false
        end
      end
    end
  end
end
