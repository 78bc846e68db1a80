module Demo
  # Dye on elm under shellac and satin: [wet film of the sealer, coats, L*a*b* readings, gloss, blotch, liking, note]
  CELLS = [
    [ 60, 2, [ [ 47.1, 14.2, 27.9 ], [ 46.2, 14.9, 27.1 ] ], [ 22, 23 ], 2, 2, "Too pale, the grain shouts" ],
    [ 60, 3, [ [ 42.3, 16.8, 26.5 ], [ 42.9, 16.1, 26.8 ] ], [ 25, 26 ], 1, 3, nil ],
    [ 80, 2, [ [ 38.4, 18.4, 25.6 ], [ 37.8, 18.8, 25.0 ] ], [ 24, 24 ], 1, 3, "Under the lamp a little red" ],
    [ 80, 3, [ [ 34.9, 20.5, 23.3 ], [ 35.3, 19.8, 23.9 ] ], [ 29, 31 ], 1, 5, "The old chair, only cleaner" ],
    [ 100, 3, [ [ 31.2, 20.9, 20.4 ] ], [ 30 ], 2, 3, nil ],
    [ 100, 2, [], [], nil, nil, nil ]
  ].freeze

  module_function

  def board!(piece, now)
    board = Board.create!(name: "Sample board 3", piece: piece, wood: "elm", grain: "open", timber_lot: "batch 7, board 2", width_mm: 480, height_mm: 305, made_on: (now - 12.days).to_date)
    CELLS.each_with_index { |(seal, coats, *readings), index| cell!(board, index, seal, coats, readings, now) }
    board.cells.last.update!(ruined: "sanded through to the dye at the edge")
  end

  def cell!(board, index, seal, coats, (labs, glosses, blotch, liking, note), now)
    cell = board.cells.create!(label: (index + 1).to_s, position: index, layers: layers(seal, coats))
    { "lab" => labs, "gloss" => glosses, "blotch" => [ blotch ].compact, "liking" => [ liking ].compact, "note" => [ note ].compact }.each do |kind, values|
      values.each_with_index do |value, nth|
        Reading.record!(cell: cell, client_id: "demo-#{index}-#{kind}-#{nth}", kind: kind, value: value, observer: kind == "liking" ? "librarian" : "Imke", light: "daylight", taken_at: now - 4.days + nth.minutes)
      end
    end
  end

  def layers(seal, coats)
    [ { "id" => "s1", "kind" => "sand", "grits" => %w[P150 P180] }, { "id" => "s2", "kind" => "raise_grain" }, { "id" => "s3", "kind" => "sand", "grits" => [ "P220" ] },
      { "id" => "s4", "kind" => "stain", "product" => "russet", "method" => "wipe" }, { "id" => "s5", "kind" => "coat", "role" => "seal", "product" => "dewaxed", "method" => "spray", "wet_um" => seal, "coats" => 1 },
      { "id" => "s6", "kind" => "coat", "role" => "top", "product" => "w20", "method" => "spray", "wet_um" => 80, "coats" => coats } ]
  end
end
