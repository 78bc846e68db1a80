module Demo
  # Dye strength by sealer cut by coats on two timbers of elm: readings near what is predicted, with the scatter of an
  # eye and of wood.
  module Trials
    # The second piece of timber is so much lighter.
    LIGHTER = 1.6

    module_function

    def make!(piece, now)
      steps = piece.layers
      stain, seal = steps.find { |step| step["kind"] == "stain" }, steps.find { |step| step["role"] == "seal" }
      top = steps.reverse.find { |step| step["kind"] == "coat" && step["role"] != "seal" }
      factors = [ {
        "name" => "dye strength", "step" => stain["id"], "field" => "strength_percent", "levels" => [ 50, 75, 100 ]
      },
                  { "name" => "sealer cut", "step" => seal["id"], "field" => "thinned_percent", "levels" => [ 0, 60 ] },
                  { "name" => "clear coats", "step" => top["id"], "field" => "coats", "levels" => [ 2, 3 ] } ]
      trial = TrialDesign
        .new(
          {
            "name" => "Desk dye, sealer and coats", "piece_id" => piece.id, "wood" => "elm", "grain" => "open",
            "timber_lot" => "batch 7", "width_mm" => 620, "height_mm" => 420, "boards" => 2, "factors" => factors,
            "design" => "full", "step_strip" => true
          },
          today: (now - 10.days).to_date
        ).save!
      random = Random.new(21)
      trial.boards.each_with_index { |board, index| board.cells.each { |cell| read!(cell, index, random, now) } }
      trial.boards.first.cells.find_by!(label: "11").update!(ruined: "run at the edge, wiped off too late")
      picks!(trial.boards.first, random)
    end

    def read!(cell, board, random, now)
      lab = Demo.lab(cell, random, 0.9)
      measures = { "lab" => [ (lab[0] + board * LIGHTER).round(1), *lab.drop(1) ] }
      measures.merge!(scores(cell.run, board, random)) if cell.run
      measures.each do |kind, value|
        Reading.record!(cell: cell, client_id: "demo-trial-#{cell.id}-#{kind}", kind: kind, value: value,
                        observer: "Imke", light: "daylight", instrument: kind == "lab" ? "colour reader" : nil,
                        taken_at: now - 3.days)
      end
    end

    # More dye shows more blotch, a washcoat evens it out; more coats more gloss.
    def scores((strength, cut, coats), board, random)
      blotch = 1.0 + strength * 0.8 - cut * 0.9 + board * 0.3 + (random.rand - 0.5) * 0.5
      {
        "blotch" => blotch.clamp(0, 5).round(1), "gloss" => (23 + coats * 4 + (random.rand - 0.5) * 2).round(1),
        "hands_min" => 12 + strength + coats * 4
      }
    end

    # The librarian's eye likes the darker, evener ones.
    def picks!(board, random)
      cells = board.cells.select { |cell| cell.run && cell.ruined.nil? }
      Rhexon::Boards::Pairs.order(cells.map(&:id), board.id).first(24).each_with_index do |(one, other), index|
        a, b = [ one, other ].map { |id| cells.find { |cell| cell.id == id } }
        ahead = 1.4 * (a.run[0] - b.run[0]) + 0.9 * (a.run[1] - b.run[1])
        winner, loser = random.rand < 1 / (1 + Math.exp(-ahead)) ? [ one, other ] : [ other, one ]
        PairPick.record!(board, client_id: "demo-pick-#{index}", winner: winner, loser: loser, light: "daylight",
                                observer: "librarian")
      end
    end
  end
end
