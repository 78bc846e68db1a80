module Rhexon
  module Planning
    # What the log says of one pass.
    # @!attribute started_at, done_at [Integer, nil] minutes, never rounded to the grid
    # @!attribute person [String, nil] who began it
    # @!attribute looks [Array<Array(String, String, Integer, Boolean)>] dry tests in time order: milestone, "dry" or
    #   "not_yet", minute, whether "just now"
    # @!attribute answer [String, nil] of a look that was answered: yes, or again
    # @!attribute readings [Array<Numeric>, nil] of a measure that is done
    PassLog = Struct.new(:started_at, :done_at, :person, :looks, :answer, :readings, keyword_init: true) do
      # @param log [Array<Hash>] entries of kind started, done, dry_test
      # @return [Hash{String=>Facts}] by pass key, sorted by when it happened, then by arrival
      def self.fold(log)
        timed = log.map.with_index do |entry, index|
          [ Zone.minute(entry["at"], where: "log/#{index}/at"), index, entry ]
        end
        timed.sort_by { |minute, index, _| [ minute, index ] }.each_with_object({}) do |(minute, _, entry), facts|
          fact = facts[entry["pass"]] ||= new(looks: [])
          fact.person ||= entry["person"]
          case entry["kind"]
          when "started" then fact.started_at ||= minute
          when "done"
            fact.started_at ||= minute
            fact.done_at ||= minute
            fact.answer ||= entry["answer"]
            fact.readings ||= entry["readings"]
          when "dry_test"
            fact.looks << [ entry["milestone"] || "recoat_opens", entry["answer"], minute, entry["exact"] ]
          end
        end
      end
    end
  end
end
