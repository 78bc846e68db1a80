module Rhexon
  module Proposals
    # A look that is put into a schedule: what it asks, and what is done until it is right.
    class FreshLook
      # Why its loop has so many rounds, where the shop's own tell.
      # @return [String, nil]
      attr_reader :why

      # @param place [Place, BoardPlace]
      def initialize(place)
        @place = place
      end

      # A look asks what can still be changed, and sends round again what is done until it looks right.
      def fields
        case last && last["kind"]
        when "stain" then { "milestone" => "touch", "asks" => "Is this the colour?" }
        when "oil" then oiling
        when "coat" then building || { "milestone" => "dust_safe", "asks" => "Even, no runs, no nibs" }
        when "raise_grain" then { "asks" => "Does nothing stand up any more?" }
        else raising || filling || { "milestone" => "dust_safe", "asks" => "Even, no runs, no nibs" }
        end
      end

      private

      def surface = @place.surface
      def shop = @place.shop
      def last = @place.last

      def oiling
        asked = { "asks" => "Is the lustre there?" }
        looped?(last) ? asked : asked.merge("again" => again([ last["id"] ], table.oilings, table.most_oilings))
      end

      # A step is sent round again by one look only.
      def looped?(step) = Schedule::Loops.look_of(@place.piece.schedule, step["id"])

      # Thin coats go on until the lustre is right, by trade practice so many.
      def building
        usual = Film::MinimumThickness.usual_coats(last["method"])
        return if usual.nil? || looped?(last)

        needed = (usual - last["coats"]).clamp(0, Schedule::Loops::MOST_ROUNDS)
        { "asks" => "Is the lustre right?", "milestone" => "recoat_opens",
          "again" => again([ last["id"] ], needed, table.most_oilings) }
      end

      # Raised and sanded off, until nothing stands.
      def raising
        two = @place.before.last(2)
        return if two.map { |step| step["kind"] } != %w[raise_grain sand] || two.any? { |step| looped?(step) }

        rounds = again(two.map { |step| step["id"] }, table.raisings, table.most_raisings)
        { "asks" => "Does nothing stand up any more?", "again" => rounds }
      end

      def filling
        from = @place.before.rindex { |step| step["kind"] == "fill" } or return
        ids = @place.before.drop(from).map { |step| step["id"] }
        return if ids.size > 2 || looped?(@place.before[from])

        rounds = again(ids, Rounds.fillings(surface.pores_filled), table.most_fillings)
        { "asks" => "No open pore against the light?", "milestone" => "sand", "again" => rounds }
      end

      # As many rounds as the shop's own loops of this took, where it has gone through any; else as reckoned.
      def again(ids, rounds, most)
        taken = taken(ids)
        @why = taken&.words
        rounds = taken.mean.round.clamp(0, Schedule::Loops::MOST_ROUNDS) if taken
        { "steps" => ids, "rounds" => rounds, "most" => [ most, rounds ].max }
      end

      # @return [LoopHistory::Found, nil]
      def taken(ids)
        step = @place.steps.find { |one| one["id"] == ids.first } or return
        @place.history.find(kind: step["kind"], product: step["product"],
                            wood: @place.piece.species || @place.piece.named_wood)
      end

      def table = Reference.new_steps.rounds
    end
  end
end
