module Rhexon
  module Work
    # What measures at the bench have told of an old finish: what softens it, and how thick it is.
    module Told
      module_function

      # @param record [Hash] a piece of rhexon-shop/1
      # @param log [Array<Hash>] of the shop
      # @return [Hash{String=>Hash}] face id => face, what was found on it as it is known by now
      def faces(record, log)
        measures = (record["schedule"]["steps"] || []).select { |step| step["kind"] == "measure" }
        record["faces"].to_h do |face|
          told = measures.reduce(face) { |known, step| tell(known, step, entry(record, step, face, log)) }
          [ face["id"], told ]
        end
      end

      # The last that was logged of the measure on the face.
      def entry(record, step, face, log)
        return if step["faces"] && !step["faces"].include?(face["id"])

        log.reverse.find do |one|
          one["kind"] == "done" && one["pass"].start_with?("#{record["id"]}/#{step["id"]}/") &&
            one["pass"].split("/")[3].to_s.split("+").include?(face["id"])
        end
      end

      def tell(face, step, entry)
        found = face["found"]
        return face unless entry && found && %w[coated unknown].include?(found["is"])

        known = case step["way"]
        when "solvent_drop" then { "family" => entry["answer"] } if found["is"] == "unknown" && entry["answer"]
        when "film" then entry["readings"]&.then { |read| { "um" => (read.sum / read.size.to_f).round(1) } }
        end
        known ? face.merge("found" => found.merge(known)) : face
      end
      private_class_method :entry, :tell
    end
  end
end
