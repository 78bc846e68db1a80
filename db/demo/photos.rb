require "vips"

module Demo
  # Pictures as a tablet would take them at the bench: a cell in its colour with some grain, a grey and a white card
  # beside it, under a slightly warm lamp. Drawn, not taken.
  module Photos
    WIDE, HIGH = 1200, 800
    LAMP = [ 0.98, 0.90, 0.78 ].freeze
    EXPOSURE = 0.9

    module_function

    def make!(board, pieces)
      cell = board.cells.find_by!(label: "4")
      Photo.take!(
        StringIO.new(picture(cell.summary.lab, 7)), client_id: "demo-photo-cell", cell: cell,
        words: "Cell 4 with the cards, at the window", light: "daylight"
      )
      piece = pieces.fetch("Catalogue cabinets")
      done = Entry.standing(piece).reverse.find { |entry| entry.kind == "done" } or return
      note = Entry.record!(client_id: "demo-note-photo", kind: "note", happened_at: done.happened_at + 30.minutes,
                           piece: piece, revision: done.revision, pass_key: done.pass_key,
                           body: { "words" => "Nibs on the left door" })
      Photo.take!(
        StringIO.new(picture([ 74, 6, 24 ], 8)), client_id: "demo-photo-note", entry: note,
        words: "Left door under the raking lamp", light: "raking lamp"
      )
    end

    # @param lab [Array<Numeric>]
    # @return [String] JPEG
    def picture(lab, seed)
      bench = flat([ 0.42, 0.40, 0.38 ])
      grain = Vips::Image.gaussnoise(WIDE, HIGH, mean: 1, sigma: 0.16, seed: seed)
        .resize(1.0 / 24, vscale: 1.0)
        .resize(24.0, vscale: 1.0)
        .gaussblur(2)
        .crop(0, 0, 780, 560)
      wood = grain.bandjoin([ grain, grain ]) * linear(lab)
      scene = bench.insert(wood, 350, 120)
        .insert(flat([ 0.18 ] * 3, 210, 260), 70, 120)
        .insert(flat([ 0.90 ] * 3, 210, 150), 70, 420)
      (scene * LAMP.map { |value| value * EXPOSURE })
        .copy(interpretation: :scrgb)
        .colourspace(:srgb)
        .jpegsave_buffer(Q: 90)
    end

    def flat(rgb, wide = WIDE, high = HIGH) = (Vips::Image.black(wide, high, bands: 3) + rgb).cast(:float)

    # Linear light of a colour on the screen.
    def linear(lab)
      Rhexon::Colour::Lab.hex(lab).scan(/[0-9a-f]{2}/).map do |byte|
        (byte.hex / 255.0).then { |value| value <= 0.04045 ? value / 12.92 : ((value + 0.055) / 1.055)**2.4 }
      end
    end
  end
end
