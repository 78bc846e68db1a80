module Rhexon
  module Work
    # What measures at the bench have told of how a face was found: what softens an old finish, how thick it is, and
    # what is read of its colour before anything is done to it.
    module Told
      module_function

      # @param record [Hash] a piece of rhexon-shop/1
      # @param log [Array<Hash>] of the shop
      # @return [Hash{String=>Hash}] face id => face, what was found on it as it is known by now
      def faces(record, log)
        steps = record["schedule"]["steps"] || []
        measures = steps.select do |step|
          step["kind"] == "measure" && (step["way"] != "colour" || untouched?(steps, step))
        end
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
        return face unless entry
        return read_of(face, entry["readings"]) if step["way"] == "colour"

        found = face["found"]
        return face unless found && %w[coated unknown].include?(found["is"])

        known = case step["way"]
        when "solvent_drop" then { "family" => entry["answer"] } if found["is"] == "unknown" && entry["answer"]
        when "film" then entry["readings"]&.then { |read| { "um" => (read.sum / read.size.to_f).round(1) } }
        end
        known ? face.merge("found" => found.merge(known)) : face
      end

      # Nothing was laid on, and nothing taken off, before it.
      def untouched?(steps, measure)
        steps.take_while { |step| !step.equal?(measure) }.none? do |step|
          work = Kind.find(step["kind"])
          work.lays? || work.bares?(step)
        end
      end

      # What was typed on the face's page stays.
      def read_of(face, readings)
        found = face["found"] || { "is" => "bare" }
        return face if readings&.size != 3 || found["lab"]

        face.merge("found" => found.merge("lab" => readings))
      end
      private_class_method :entry, :tell, :untouched?, :read_of
    end
  end
end
