# A sample board with all that was read on it as a file (rhexon-board/1), out and in.
module Board::AsFile
  FORMAT = "rhexon-board/1".freeze
  FIELDS = %w[name wood grain timber_lot width_mm height_mm margin_mm tape_mm step_strip].freeze
  TRIAL = %w[name base factors design seed shuffled weights target_lab].freeze
  READING = %w[kind value observer light instrument].freeze

  class << self
    # @param board [Board]
    # @return [Hash] rhexon-board/1
    def write(board)
      cells = board.cells.includes(:readings).map { |cell| cell(cell) }
      trial = board.trial&.attributes&.slice(*TRIAL)
      own = { **board.attributes.slice(*FIELDS).compact, "made_on" => board.made_on.iso8601 }
      { "format" => FORMAT, "board" => own, "trial" => trial, "cells" => cells,
        "products" => Product::Named.in([ cells, trial ]) }
    end

    # @param json [Object] parsed
    # @param digest [String] of the file: taken in twice, it is refused
    # @param chosen [Hash] of Product::Named.take_in!
    # @return [Board]
    # @raise [Rhexon::InvalidInput]
    def take_in!(json, digest, chosen = {})
      Rhexon::Schema.check!("rhexon-board-1", json)
      Board.transaction do
        refuse_known!(json, digest)
        codes, = Product::Named.take_in!(json["products"], chosen)
        Current.forget_shelf
        board = board!(json, codes)
        json["cells"].each_with_index { |cell, index| cell!(board, cell, index, codes, digest) }
        board
      end
    end

    private

    def cell(cell)
      readings = cell.readings.map do |reading|
        reading.attributes.slice(*READING).compact.merge("taken_at" => reading.taken_at.utc.iso8601)
      end
      { "label" => cell.label, "role" => cell.role, "run" => cell.run, "layers" => cell.layers,
        "ruined" => cell.ruined, "readings" => readings }.compact
    end

    def refuse_known!(json, digest)
      known = Reading.exists?(client_id: "#{digest}-0-0")
      Rhexon.refuse_unless(!known, "This board was taken in before", where: "file", accepted: "another file")
      return unless Board.exists?(name: json.dig("board", "name"))

      raise Rhexon::InvalidInput.new("There is already a board of that name", where: "file",
                                     accepted: "a board of another name")
    end

    def board!(json, codes)
      given = json["board"]
      board = Board.new(**given.slice(*FIELDS), made_on: Date.iso8601(given["made_on"]),
                                                trial: trial(json["trial"], codes))
      board.save ? board : refuse(board, "board")
    rescue ArgumentError
      raise Rhexon::InvalidInput.new("#{given["made_on"].inspect} is no day", where: "board/made_on")
    end

    def trial(given, codes)
      return unless given

      trial = Trial.new(**Product::Named.renamed(given.slice(*TRIAL), codes), name: free_name(given["name"]))
      trial.save ? trial : refuse(trial, "trial")
    end

    # A trial of that name may be here; this one has its own boards.
    def free_name(name)
      (1..).lazy.map { |number| number == 1 ? name : "#{name} #{number}" }.find { |one| !Trial.exists?(name: one) }
    end

    def cell!(board, given, index, codes, digest)
      cell = board.cells.new(label: given["label"], position: index, role: given["role"] || "run", run: given["run"],
                             ruined: given["ruined"], layers: Product::Named.renamed(given["layers"], codes))
      cell.save || refuse(cell, "cells/#{index}")
      (given["readings"] || []).each_with_index do |reading, number|
        Reading.record!(cell: cell, client_id: "#{digest}-#{index}-#{number}",
                        taken_at: Time.iso8601(reading["taken_at"]), **reading.slice(*READING).symbolize_keys)
      end
    rescue ArgumentError
      raise Rhexon::InvalidInput.new("A reading was not taken at a time", where: "cells/#{index}",
                                     accepted: "2026-11-20T08:00:00Z")
    end

    def refuse(record, where)
      raise Rhexon::InvalidInput.new(record.errors.first.message, where: where)
    end
  end
end
