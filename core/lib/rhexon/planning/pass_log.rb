module Rhexon
  module Planning
    # What the log says of one pass.
    # @!attribute started_at, done_at [Integer, nil] minutes, never rounded to the grid: hands begin, with what has to
    #   be set up, and the last is laid on or done
    # @!attribute stroke_at [Integer, nil] when the work itself began, where the start was noted then
    # @!attribute person [String, nil] who began it
    # @!attribute looks [Array<Array(String, String, Integer, Boolean)>] dry tests in time order: milestone, "dry" or
    #   "not_yet", minute, whether "just now", what it was tried on: the film, or "glass" beside it
    # @!attribute answer [String, nil] of a look that was answered: yes, or again
    # @!attribute readings [Array<Numeric>, nil] of a measure that is done
    # @!attribute drops [Numeric, nil] of rubbed oil that one piece took
    # @!attribute ticks [Hash{Integer=>Integer}] alike piece, from 1 => minute it was finished
    # @!attribute comb_um [Array<Numeric>, nil] wet film by the comb
    # @!attribute pot_g [Array(Numeric, Numeric), nil] pot with what is in it, before and after
    PassLog = Struct.new(:started_at, :stroke_at, :done_at, :person, :looks, :answer, :readings, :drops, :ticks,
                         :comb_um, :pot_g, keyword_init: true) do
      # @param log [Array<Hash>] entries of kind started, tick, measured, done, dry_test
      # @return [Hash{String=>Facts}] by pass key, sorted by when it happened, then by arrival
      def self.fold(log)
        timed = log.map.with_index do |entry, index|
          [ Zone.minute(entry["at"], where: "log/#{index}/at"), index, entry ]
        end
        timed.sort_by { |minute, index, _| [ minute, index ] }.each_with_object({}) do |(minute, _, entry), facts|
          (facts[entry["pass"]] ||= new(looks: [], ticks: {})).add(entry, minute)
        end
      end

      # @param entry [Hash] of the log
      # @param minute [Integer] when it happened
      def add(entry, minute)
        self.person ||= entry["person"]
        case entry["kind"]
        when "started" then started(entry, minute)
        when "done" then done(entry, minute)
        when "tick" then tick(entry["nth"], minute)
        when "measured" then measured(entry)
        when "dry_test"
          looks << [ entry["milestone"] || "recoat_opens", entry["answer"], minute, entry["exact"], entry["by"] ]
        end
      end

      private

      def started(entry, minute)
        self.stroke_at ||= minute if started_at.nil? && entry["from"] == "stroke"
        self.started_at ||= minute
      end

      def tick(nth, minute)
        self.started_at ||= minute
        ticks[nth] ||= minute
      end

      # What was read last counts.
      def measured(entry)
        self.comb_um = entry["comb_um"] if entry["comb_um"]
        self.pot_g = entry["pot_g"] if entry["pot_g"]
      end

      def done(entry, minute)
        self.started_at ||= minute
        self.done_at ||= minute
        self.answer ||= entry["answer"]
        self.readings ||= entry["readings"]
        self.drops ||= entry["drops"]
      end
    end
  end
end
