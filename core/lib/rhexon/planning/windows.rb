module Rhexon
  module Planning
    # How coats meet the windows of the coats below them.
    class Windows
      # @param shop [Shop]
      # @param drier [MilestoneCalculator]
      # @param placed [Array<Placement>] by index of the pass
      # @param scuffs [Hash{String=>Placement}] by key of the coat they serve
      def initialize(shop, drier, placed, scuffs)
        @shop = shop
        @drier = drier
        @placed = placed
        @scuffs = scuffs
      end

      # Sets window and inside of a coat placement.
      def meet(placement)
        windows = placement.pass.under.filter_map { |index| @placed[index] && window(placement, @placed[index]) }
        placement.window = Window.worst(windows)
        placement.inside = windows.all? { |window| window.closes_at.nil? || placement.work_start <= window.closes_at }
      end

      private

      def window(placement, lower)
        opens, closes = ends(placement.pass, lower)
        start = placement.work_start
        state = if opens && start < opens then "too_soon"
        elsif freshly_scuffed?(placement, lower) then "scuffed"
        elsif closes && start > closes then "over"
        else "open"
        end
        Window.new(of: lower.pass, opens_at: opens, closes_at: closes, state: state)
      end

      def ends(pass, lower)
        if pass.hard&.kind == "wet_on_wet" && pass.hard.lower == lower.pass.index
          return [
            @drier.reached_at(lower, "flash_min") || lower.work_end,
            @drier.closing(lower.pass, "flash_max")&.at(lower.first_end)
          ]
        end

        [
          @drier.reached_at(lower, Materials::Pairs.opens(lower.pass.product, pass.product),
                            @drier.pair(lower.pass.product, pass.product)),
          @drier.closes_at(lower)
        ]
      end

      # Each face that meets the film was abraded dry after its last coat, not longer ago than the house rule allows.
      def freshly_scuffed?(placement, lower)
        pass = placement.pass
        scuff = @scuffs[pass.key]
        (pass.under_faces[lower.pass.index] || [])
          .zip(pass.abraded_by.fetch(lower.pass.index, []))
          .all? do |face, abraded|
            ends = abraded.to_a.filter_map { |index| @placed[index]&.hands_end }
            ends << scuff.hands_end if scuff&.pass&.faces&.include?(face)
            ends.any? do |finish|
              finish >= lower.work_end && finish <= placement.work_start &&
                placement.work_start <= finish + pass.piece.house.fetch("scuff_valid_min")
            end
          end
      end
    end
  end
end
