module Demo
  # The russet dye of this shop is stronger than its sheet says; its boards show it.
  TRUE_STRENGTH = { "russet" => 1.2 }.freeze
  # Dye on elm under shellac and satin: [strength of the dye, coats, gloss readings, blotch, liking, note]
  CELLS = [
    [ 40, 2, [ 22, 23 ], 1, 2, "Too pale, the grain shouts" ],
    [ 60, 2, [ 25, 26 ], 1, 3, nil ],
    [ 80, 3, [ 28, 28 ], 1, 4, "Under the lamp a little red" ],
    [ 100, 3, [ 29, 31 ], 1, 5, "The old chair, only cleaner" ],
    [ 130, 3, [ 30 ], 2, 3, nil ],
    [ 130, 2, [], nil, nil, nil ]
  ].freeze

  MORE_BOARDS = File.expand_path("boards.yml", __dir__)

  module_function

  def board!(piece, now)
    board = Board.create!(name: "Sample board 3", piece: piece, wood: "elm", grain: "open",
                          timber_lot: "batch 7, board 2", width_mm: 480, height_mm: 305,
                          made_on: (now - 12.days).to_date)
    random = Random.new(3)
    CELLS.each_with_index do |(strength, coats, *readings), index|
      cell!(board, index, layers(strength, coats), readings, random, now)
    end
    board.cells.last.update!(ruined: "sanded through to the dye at the edge")
    board
  end

  def cell!(board, index, layers, (glosses, blotch, liking, note), random, now)
    cell = board.cells.create!(label: (index + 1).to_s, position: index, layers: layers)
    labs = glosses.map { lab(cell, random) }
    {
      "lab" => labs, "gloss" => glosses, "blotch" => [ blotch ].compact, "liking" => [ liking ].compact,
      "note" => [ note ].compact
    }.each do |kind, values|
      values.each_with_index do |value, nth|
        Reading.record!(cell: cell, client_id: "demo-#{index}-#{kind}-#{nth}", kind: kind, value: value,
                        observer: kind == "liking" ? "librarian" : "Imke", light: "daylight",
                        taken_at: now - 4.days + nth.minutes)
      end
    end
  end

  # As the wood and this dye are, with the scatter of an instrument.
  # @return [Array<Float>, nil] nil where something on it has no colour figures
  def lab(cell, random, scatter = 0.5)
    products = Shelf.as_on_sheets.to_h { |record| [ record["id"], Rhexon::Materials::Product.read(record) ] }
    stage = Rhexon::Colour::Looks.new(Rhexon::Colour::Wood.for_species(cell.board.wood), cell.layers, products,
                                      strengths: TRUE_STRENGTH).final
    stage.look.lab.map { |value| (value + (random.rand + random.rand - 1) * scatter).round(1) } if stage.gaps.empty?
  end

  # The smaller boards beside it.
  def more_boards!(pieces, now)
    YAML.safe_load_file(MORE_BOARDS).each do |name, record|
      board = empty_board!(name, record, pieces, now)
      random = Random.new(name.sum)
      record["cells"].each_with_index do |given, index|
        cell = board.cells.create!(label: given["role"] || (index + (record["cells"].first["role"] ? 0 : 1)).to_s,
                                   position: index, role: given["role"] || "run",
                                   layers: record["prepare"] + given["layers"])
        read!(cell, { "lab" => lab(cell, random), **given.except("layers", "role") }.compact,
              now - record["read"].days)
      end
    end
  end

  def empty_board!(name, record, pieces, now)
    wide, high = record["size"]
    Board.create!(name: name, piece: pieces.fetch(record["piece"]), wood: record["wood"], grain: record["grain"],
                  timber_lot: record["timber_lot"], width_mm: wide, height_mm: high,
                  made_on: (now - record["made"].days).to_date)
  end

  def read!(cell, readings, taken_at)
    readings.each do |kind, value|
      Reading.record!(cell: cell, client_id: "demo-#{cell.board_id}-#{cell.position}-#{kind}", kind: kind,
                      value: value, observer: kind == "liking" ? "the client" : "Osei", light: "daylight",
                      taken_at: taken_at)
    end
  end

  def layers(strength, coats)
    [ { "id" => "s1", "kind" => "sand", "grits" => %w[P150 P180] }, { "id" => "s2", "kind" => "raise_grain" },
      { "id" => "s3", "kind" => "sand", "grits" => [ "P220" ] },
      {
        "id" => "s4", "kind" => "stain", "product" => "russet", "method" => "wipe",
        **(strength == 100 ? {} : { "strength_percent" => strength })
      }, {
        "id" => "s5", "kind" => "coat", "role" => "seal", "product" => "dewaxed", "method" => "spray", "wet_um" => 80,
        "coats" => 1
      },
      {
        "id" => "s6", "kind" => "coat", "role" => "top", "product" => "w20", "method" => "spray", "wet_um" => 80,
        "coats" => coats
      } ]
  end
end
