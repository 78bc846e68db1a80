module Rhexon
  module Schedule
    # Edits are pure functions document -> document. An operation names step ids, never positions:
    #
    #   {"op":"add_step","after":"s3" | null,"step":{...}}       null: at the beginning
    #   {"op":"remove_step","id":"s3"}
    #   {"op":"move_step","id":"s3","after":"s5" | null}
    #   {"op":"change_step","id":"s3","set":{"wet_um":90}}         a null value takes the field away
    #   {"op":"split_coats","id":"s3","keep":1,"new_id":"s9"} coats after the first +keep+ become a step of their own
    #   {"op":"pin","id":"s3","coat":1,"start":"2026-11-25T10:30+01:00" | null,"person":"imke","faces":["back"]} no
    #   start and no person: unpin; no faces: the first that are laid on
    #   {"op":"place","set":{"support":"hung","room":"loft","dry_room":null}}
    #   {"op":"house","set":{"scuff":"always"}}
    #   {"op":"judge","check":"film.foggy","as":"note","reason":"the look is wanted soft"}; as null: as usual
    #   {"op":"all","operations":[...]}                            one after the other, one revision
    module Edit
      UNCHANGEABLE = %w[id kind].freeze

      module_function

      # @param document [Hash] a checked schedule document
      # @param operation [Hash] as above
      # @param as_typed [AsTyped, nil] reads fields as they were typed; nil: figures stand in it
      # @return [Hash] the new document, checked
      # @raise [InvalidInput] when the operation is not known, names a step that is not there, or leaves a document
      #   that is not valid
      def apply(document, operation, as_typed: nil)
        operation = as_typed.read(operation, document) if as_typed
        Document.check!(change(document, operation)).tap { |after| Fitting.check_fields!(after, document) }
      end

      # @return [String] an id that the document does not use
      def free_id(document)
        taken = document["steps"].map { |step| step["id"][/\As(\d+)\z/, 1].to_i }
        "s#{(taken.max || 0) + 1}"
      end

      # Steps that an operation touches, for the rule that a logged pass is frozen.
      # @return [Array<String>] step ids
      def touched(operation)
        case operation["op"]
        when "all" then operation["operations"].flat_map { |inner| touched(inner) }.uniq
        when "add_step", "house", "judge" then []
        else [ operation["id"] ]
        end
      end

      def change(document, operation)
        unless operation.is_a?(Hash)
          raise InvalidInput.new("An edit is an operation with its name in op", where: "operation")
        end

        case operation["op"]
        when "add_step" then add(document, operation["step"], operation["after"])
        when "remove_step" then remove(document, operation["id"])
        when "move_step" then move(document, operation)
        when "change_step" then change_step(document, operation["id"], operation["set"])
        when "split_coats" then split(document, operation)
        when "pin" then pin(document, operation)
        when "house" then house(document, operation["set"])
        when "judge" then judge(document, operation)
        when "place" then place(document, operation["set"])
        when "all" then several(document, operation["operations"])
        else raise InvalidInput.new(
          "The edit #{operation["op"].inspect} is not known", where: "op",
          accepted: "add_step, remove_step, move_step, change_step, split_coats, pin, house, judge, place, all"
        )
        end
      end
      private_class_method :change

      def house(document, set)
        raise InvalidInput.new("A house rule names what it sets", where: "set") unless set.is_a?(Hash)

        document.merge("house" => merged(document["house"] || {}, set))
      end
      private_class_method :house

      def judge(document, operation)
        id = operation["check"].to_s
        said = operation["as"] && operation.slice("as", "reason")
        checks = (document.dig("house", "checks") || {}).except(id).merge(said ? { id => said } : {})
        house(document, "checks" => checks.empty? ? nil : checks)
      end
      private_class_method :judge

      # Room, drying room and support of the whole schedule.
      def place(document, set)
        known = %w[room dry_room support]
        unless set.is_a?(Hash) && (set.keys - known).empty?
          raise InvalidInput.new("A place names what it sets", where: "set", accepted: known.join(", "))
        end

        merged(document, set)
      end
      private_class_method :place

      def several(document, operations)
        raise InvalidInput.new("Several edits are a list", where: "operations") unless operations.is_a?(Array)

        operations.reduce(document) { |so_far, inner| change(so_far, inner) }
      end
      private_class_method :several

      def add(document, step, after)
        raise InvalidInput.new("A new step must be a step", where: "step") unless step.is_a?(Hash)

        steps(document) { |list| insert(document, list, step, after) }
      end
      private_class_method :add

      def remove(document, id)
        gone = Document.step(document, id)
        Loops.without(steps(document) { |list| list - [ gone ] }, id)
      end
      private_class_method :remove

      def move(document, operation)
        step = Document.step(document, operation["id"])
        raise InvalidInput.new("A step cannot follow itself", where: "after") if operation["after"] == step["id"]

        steps(document) { |list| insert(document, list - [ step ], step, operation["after"]) }
      end
      private_class_method :move

      def insert(document, list, step, after)
        return [ step ] + list if after.nil?

        at = list.index(Document.step(document, after))
        list[0..at] + [ step ] + list[(at + 1)..]
      end
      private_class_method :insert

      def change_step(document, id, set)
        raise InvalidInput.new("A change names the fields it sets", where: "set") unless set.is_a?(Hash)

        fixed = set.keys & UNCHANGEABLE
        if fixed.any?
          raise InvalidInput.new("A step keeps its #{fixed.first}; remove it and add another",
                                 where: "steps/#{id}/#{fixed.first}")
        end

        replace(document, id) { |step| within_coats(merged(step, set)) }
      end
      private_class_method :change_step

      def split(document, operation)
        step = Document.step(document, operation["id"])
        coats = step["coats"] || 1
        keep = operation["keep"]
        Rhexon.refuse_unless(
          keep.is_a?(Integer) && keep.between?(1, coats - 1), "#{coats} coats cannot be split after #{keep}",
          where: "steps/#{step["id"]}/coats", accepted: coats > 1 ? "1 to #{coats - 1}" : "a step of at least two coats"
        )
        pins = step["pins"] || []
        first = with_pins(step.merge("coats" => keep), pins.select { |pin| pin["coat"] <= keep })
        later = pins.select { |pin| pin["coat"] > keep }.map { |pin| pin.merge("coat" => pin["coat"] - keep) }
        rest = with_pins(step.merge("id" => operation["new_id"] || free_id(document), "coats" => coats - keep), later)
        steps(document) { |list| list.flat_map { |other| other.equal?(step) ? [ first, rest ] : [ other ] } }
      end
      private_class_method :split

      def pin(document, operation)
        Rhexon.refuse_unless(
          operation["coat"].is_a?(Integer), "A pin names its coat by number", where: "coat", accepted: "1 for the first"
        )
        replace(document, operation["id"]) do |step|
          others = (step["pins"] || []).reject do |pin|
            pin["coat"] == operation["coat"] && pin["faces"] == operation["faces"]
          end
          wanted = operation.slice("coat", "start", "person", "faces").compact
          added = wanted.key?("start") || wanted.key?("person") ? [ wanted ] : []
          with_pins(step, (others + added).sort_by { |pin| pin["coat"].to_i })
        end
      end
      private_class_method :pin

      def with_pins(step, pins) = pins.empty? ? step.except("pins") : step.merge("pins" => pins)
      private_class_method :with_pins

      # Fewer coats take the pins of the coats that went with them.
      def within_coats(step)
        return step unless step["pins"].is_a?(Array) && step["pins"].all?(Hash) && step["coats"].is_a?(Integer)

        with_pins(step, step["pins"].reject { |pin| pin["coat"].is_a?(Integer) && pin["coat"] > step["coats"] })
      end
      private_class_method :within_coats

      def merged(hash, set) = hash.merge(set).compact
      private_class_method :merged

      def replace(document, id)
        target = Document.step(document, id)
        steps(document) { |list| list.map { |step| step.equal?(target) ? yield(step) : step } }
      end
      private_class_method :replace

      def steps(document) = document.merge("steps" => yield(document["steps"]))
      private_class_method :steps
    end
  end
end
