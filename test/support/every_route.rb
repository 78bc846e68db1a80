require_relative "pictures"

# Every route of the router, with records of every kind to fill it with, and bodies as the pages send them.
module EveryRoute
  include Pictures

  # Routes that write, with a body as the pages send it. A route that is not here fails the test.
  def bodies
    now = { client_id: "c1", happened_at: Time.current.iso8601 }
    key = "#{@piece.core_id}/s1/1/top"
    pass = { **now, pass: key }
    {
      "POST /entries/:entry_id/settling" => [ {} ],
      "POST /entries" => [ { **pass, kind: "started", person: "Imke" }, { **pass, kind: "done" }, { **pass, kind: "dry_test", milestone: "sand", answer: "dry" }, { **pass, kind: "fault", fault: "runs", mending: "leave" }, { **now, kind: "correction", corrects: @entry.id }, { **pass, kind: "tick", nth: 1 }, { **pass, kind: "measured", comb_um: [ 100 ], pot_g: [ 800, 700 ], surface_c: 18, gun: { tip_mm: 1.3 } }, { **now, kind: "seen_to", item: "x" } ],
      "POST /begin" => [ { name: "S", person: "Imke", password: "elm and old oak", zone: "Europe/Berlin", room: "loft", t_c: "20", rh: "50", opens: "08:00", closes: "17:00", units: "us", currency: "USD" } ],
      "POST /pieces/plan/accept" => [ { digest: "x" } ], "POST /pieces/plan/search" => [ {} ],
      "DELETE /pieces/plan/search" => [ {} ],
      "POST /pieces/area/piece" => [ { fields: Sums::LargeArea::FIRST, name: "F", wood: "oak", job_id: nil, client: "C" } ],
      "PATCH /pieces/area/piece" => [ { fields: Sums::LargeArea::FIRST, piece_id: @piece.id } ], "POST /pieces/area" => [ { fields: Sums::LargeArea::FIRST } ],
      "POST /pieces/file" => [ { file: "x", look: "yes", matches: "{}" } ],
      "POST /boards/file" => [ { file: "x", look: "yes", matches: "{}" } ],
      "POST /links" => [ { kind: "handover", piece_id: @piece.id, names: true, ends_on: "2026-12-24" }, { kind: "approval", cell_id: @cell.id } ],
      "DELETE /links/:id" => [ {} ],
      "POST /page_faults" => [ { number: "C4F7XA", page: "/bench", message: "x", stack: "x" } ],
      "POST /guest/:token/approval" => [ { client_id: "c1", name: "A", light: "daylight" } ],
      "POST /begin/owner" => [ { name: "Imke", password: "elm and old oak", code: "AAAA" } ],
      "POST /confirm" => [ { password: "elm and old oak" } ],
      "POST /sign_in" => [ { name: "Imke", password: "elm and old oak", to: "/bench" } ], "DELETE /sign_in" => [ {} ],
      "POST /hands" => [ { name: "Imke", code: "2468" } ],
      "PATCH /me" => [ { now: "elm and old oak", password: "ash over elm top", code: "2468" } ], "DELETE /me" => [ { device: 1 } ],
      "POST /me/second" => [ {} ], "PATCH /me/second" => [ { offered: "x", second: "123456" } ],
      "DELETE /me/second" => [ { now: "elm and old oak" } ],
      "PATCH /shop/person/:person_id/account" => [ { role: "student", password: "ash over elm top", code: "2468" } ],
      "DELETE /shop/person/:person_id/account" => [ {} ],
      "POST /begin/archive" => [ { file: "x" } ],
      "POST /shop/backups" => [ { note: "x" } ], "POST /shop/backups/:id/restore" => [ {} ],
      "POST /shop/backups/drill" => [ {} ],
      "POST /pieces/:piece_id/class" => [ { names: [ "Ilse" ], count: 2, tools: false } ],
      "POST /pieces/:piece_id/class/removal" => [ {} ], "DELETE /pieces/:piece_id/class/removal" => [ {} ],
      "POST /pieces/:piece_id/past_work" => [ { client_id: "x", person: nil, passes: [] } ],
      "POST /pieces/:piece_id/removal" => [ {} ], "DELETE /pieces/:piece_id/removal" => [ {} ],
      "POST /instruments/:id/press" => [ { near: [ 9.4 ] } ],
      "POST /timbers" => [ timber ], "PATCH /timbers/:id" => [ timber ],
      "PATCH /jobs/:id" => [ { client: "A", place: "B", air_there: "20 50", due_on: "2026-12-24", closed: false } ],
      "POST /pieces" => [ { client: "A", place: "B", due: "2026-12-24", job_id: nil, name: "P", count: 2, wood: "elm", wood_like: "oak", timber_id: nil, use: "show", arris: "sharp", look: "x", wanted_colour: "30 1 1", wanted_gloss: "20 to 30", light: "D65", faces: [ { name: "top", area_m2: 1.5, grain: "open", kind: "face" } ] } ],
      "PATCH /pieces/:id" => [ { name: "P", count: 2, wood: "elm", faces: [ { name: "top", area_m2: 1.5, grain: "open", kind: "face" } ] } ],
      "POST /pieces/:piece_id/ways" => [ { wish: wish }, { wish: {} } ], "POST /pieces/:piece_id/ways/choice" => [ { wish: wish, system: "hardwax_oil" } ],
      "POST /pieces/:piece_id/quote" => [ { terms: { rate_per_h: 48, waste_percent: 10, margin_percent: 15, tax_percent: 20 } } ],
      "POST /pieces/book" => [ { name: "B", says: "x", piece: @piece.id }, { name: "C", cell: @cell.id }, { into: @recipe.id, piece: @piece.id } ],
      "PATCH /pieces/book/:id" => [ { name: "B", says: "x", parameters: [ "s1/coats" ] } ], "DELETE /pieces/book/:id" => [ {} ],
      "POST /pieces/book/file" => [ { file: "x" } ],
      "POST /pieces/book/:template_id/preview" => [ applied ], "POST /pieces/book/:template_id/application" => [ applied ],
      "POST /pieces/:piece_id/quote/given" => [ {} ], "POST /pieces/:piece_id/ways/trial" => [ { wish: wish, system: "hardwax_oil" } ],
      "POST /pieces/:piece_id/schedule/ahead" => operations.map { |operation|
        { operation: operation, face: "top", base: @piece.schedule.head.number }
      },
      "POST /pieces/:piece_id/schedule/what_if" => operations.map { |operation|
        { operation: operation, face: "top", sequence: 1 }
      },
      "POST /pieces/:piece_id/schedule/edits" => operations.map { |operation|
        { operation: operation, base: @piece.schedule.head.number, reason: "x", face: "top", sequence: 1 }
      },
      "POST /pieces/:piece_id/schedule/undo" => [ { face: "top" } ],
      "POST /pieces/:piece_id/schedule/redo" => [ { face: "top" } ],
      "POST /photos" => [ { client_id: "c1", words: "x", light: "D65", cell_id: @cell.id, pass: key, piece_id: @piece.id, file: "x" } ],
      "DELETE /photos/:id" => [ {} ],
      "POST /photos/:photo_id/colour" => [ { patch: [ 0, 0, 0.5, 0.5 ], grey: [ 0.5, 0.5, 1, 1 ], white: false } ],
      "POST /boards/colour" => [ { wood: "elm", wood_lab: [ 60, 5, 20 ], target: [ 40, 10, 20 ], way: "stain", under: 30, colourants: [ "russet" ], batch_g: 100 } ],
      "POST /trials" => [ trial ], "POST /trials/preview" => [ trial ],
      "PATCH /trials/:id" => [ { weights: { "look" => 2 }, board: @board.id } ],
      "POST /boards" => [ { name: "B2", wood: "elm", grain: "open", timber_lot: "L", width_mm: 400, height_mm: 300, cells: 2, piece_id: @piece.id, layers_from: @piece.id } ],
      "POST /boards/:board_id/picks" => [ { client_id: "c1", winner: @cell.id, loser: @other.id, light: "D65", observer: "Imke" } ],
      "POST /boards/:board_id/readings" => [ { file: "x" } ],
      "POST /boards/:board_id/quick" => [ { client_id: "c1", readings: [ { cell: @cell.id, kind: "gloss", value: 30 } ], observer: "Imke", light: "D65" } ],
      "POST /boards/:board_id/verdict" => [ { client_id: "c1", cell: @cell.id, reason: "x" } ],
      "POST /boards/:board_id/making" => [ {} ],
      "PATCH /boards/:board_id/cells/:id" => [ { layers: [ coat("s1") ], ruined: "x" } ],
      "POST /boards/:board_id/cells/:cell_id/approval" => [ { client_id: "c1", name: "A", light: "D65", words: "x" } ],
      "POST /boards/colour/step" => [ { piece_id: @piece.id, kind: "stain", grams: { russet: 30 }, batch_g: 100, carrier: nil, method: "wipe", after: "s1", replace: nil } ],
      "POST /boards/:board_id/cells/:cell_id/photo_colour" => [ { client_id: "c1", photo: @photo.id, patch: [ 0, 0, 0.5, 0.5 ], grey: [ 0.5, 0.5, 1, 1 ], white: true, observer: "Imke" } ],
      "POST /boards/:board_id/cells/:cell_id/readings" => [ { client_id: "c1", kind: "lab", value: [ 50, 1, 1 ], observer: "Imke", light: "D65", taken_at: Time.current.iso8601 } ],
      "POST /boards/:board_id/cells/:cell_id/measure" => [ { client_id: "c1", measure: "colour", observer: "Imke", light: "D65" } ],
      "POST /boards/:board_id/cells/:cell_id/promotion" => [ { piece_id: @piece.id, methods: { "spray" => "brush" } } ],
      "POST /boards/:board_id/cells/:cell_id/promotion_preview" => [ { piece_id: @piece.id, methods: { "spray" => "brush" } } ],
      "POST /mix" => [ mix, { pass: key }, { components: [ { name: "a", parts: 1, density_g_per_ml: 1.0 } ], want: { amount: "1 l" } }, { recipe_id: 1, want: { amount: "1 l" } } ],
      "POST /mix/preview" => [ mix ],
      "POST /mix/:mix_id/pours" => [ { **now, name: "Skerrow W20 clear satin", g: 50, batch: @can.id } ],
      "POST /mix/:mix_id/take_back" => [ { **now, entry: 1 } ], "POST /mix/:mix_id/way" => [ { **now, kind: "more" } ],
      "POST /mix/:mix_id/finish" => [ now ], "POST /mix/:mix_id/discard" => [ now ],
      "POST /shop/hours" => [ { person: Person.first.id, week: { "1" => "07:30-16:30" }, days: [ { date: "2026-12-24", hours: "" } ] } ],
      "POST /shop/person" => [ { id: nil, name: "Wren", at_bench: true, skills: [ "spray" ] }, { id: Person.first.id, at_bench: true, skills: nil } ],
      "POST /shop/tool" => [ { name: "gun", used_for: "spray" }, { id: 1 } ],
      "PATCH /shop/settings" => [ { name: "S", zone: "Europe/Berlin", currency: "USD", units: "us", address: "http://10.0.0.2:3000" } ],
      "POST /shop/goal" => [ { goal: "soonest" } ],
      "POST /shop/house" => [ { rule: "scuff", value: "always" }, { rule: "dust_settles_min", value: 30 } ],
      "POST /shop/judgements" => [ { check: "film.foggy", as: "note", reason: "wanted soft" }, { check: "film.foggy", as: nil } ],
      "POST /shop/room" => [ { id: nil, name: "loft", air: "still", uses: [ "dry" ], rack_places: 3, t_c: 18, rh: 50, daily: [ { "at" => "06:00", "t_c" => 20, "rh" => 50 } ] } ],
      "POST /shop/rooms/:room_id/logger" => [ { file: "x" } ], "POST /products" => [ product ],
      "PATCH /products/:id" => [ product ], "DELETE /products/:id" => [ {} ],
      "POST /products/:product_id/optics" => [ { wood: "oak", bare: nil, read: [ 40, 10, 20 ], percent: 100, coats: 1, method: "spray" } ],
      "DELETE /products/:product_id/optics" => [ {} ],
      "POST /products/:product_id/retirement" => [ {} ], "DELETE /products/:product_id/retirement" => [ {} ],
      "POST /products/import" => [ { file: "x" } ],
      "POST /batches" => [ { product: @can.product_id, amount: "1 l", lot: "L", state: "sealed", on: "2026-11-20", client_id: "c1" } ],
      "PATCH /batches/:id" => %w[open weigh empty keep discard].map { |act|
        { act: act, left: "100 g", grams: "10 g", client_id: "c1" }
      },
      "POST /batches/box" => [ { batches: [ @can.id ], client_id: "c1" } ], "POST /consumables" => [ consumable ],
      "PATCH /consumables/:id" => [ consumable ],
      "POST /readings" => [ { t_c: 19, rh: 50 }, { readings: [ { t_c: 19, rh: 50 } ] } ],
      "POST /shop/instruments" => [ { name: "Door", room: Room.first.id } ],
      "PATCH /shop/instruments/:id" => [ { stand_in: "noisy" }, { renew: true } ], "DELETE /shop/instruments/:id" => [ {} ],
      "POST /record/paces" => [ { work: "sand", factor: 1.2 } ],
      "POST /record/figures" => [ { product: "w20", phase: "early" } ], "DELETE /record/figures" => [ { product: "w20", phase: "early" } ],
      "POST /shelf/over" => [ { lower: "seal", upper: "w20", state: "cured", sanded: true, residue: "wax" } ],
      "POST /sums" => [ { question: "thin_cut", fields: { stock: "2 lb", amount: "1 l", to: "1 lb" } } ],
      "POST /scale/zero" => [ {} ], "POST /scale/hand" => [ { act: "pour", g_per_s: 1, grams: 5, fault: "drift" } ]
    }
  end

  def operations
    [ { op: "add_step", after: "s1", step: coat("s9") }, { op: "add_step", after: nil, step: { id: "s9", kind: "stain", product: "russet", method: "wipe", faces: [ "top" ] } }, { op: "remove_step", id: "s2" }, { op: "move_step", id: "s2", after: nil },
      { op: "change_step", id: "s1", set: { wet_um: 90, product: "seal", method: "spray", role: "seal", coats: 2, room: "bench", dry_room: "bench", tool: "gun", thinner: "water", thinning: { percent: 5, of: "base" }, pins: [ { coat: 1, person: "Imke" } ], mask: [ "top" ], faces: [ "top" ], pattern: "crossing", support: "hung" } },
      { op: "split_coats", id: "s1", keep: 1, new_id: "s8" }, { op: "pin", id: "s1", coat: 1, start: "2026-11-24T09:00+01:00", person: "Imke", faces: [ "top" ] }, { op: "place", set: { room: "bench", dry_room: "bench", support: "hung" } }, { op: "house", set: { scuff: "always" } },
      { op: "all", operations: [ { op: "remove_step", id: "s1" } ] } ]
  end

  def trial
    { name: "T2", piece_id: @piece.id, base_from: @piece.id, wood: "elm", grain: "open", timber_lot: "L",
      width_mm: 600, height_mm: 400, factors: [ { name: "coats", step: "s1", field: "coats", levels: [ 1, 2 ] } ], design: "full", runs: 2, boards: 1, shuffled: true, step_strip: false, seed: 1 }
  end
  def mix
    { product: "w20", want: { amount: "500 ml", unit: "ml", have: nil }, thinning: { percent: 5, of: "base" },
      thinner: "water", hardener_parts: 10, room: "bench", container: "1 l" }
  end
  def product
    { maker: "M", name: "N", role: "oil", colour: "clear", kind: "shellac", code: "n",
      figures: { "density_g_per_ml" => "1", "milestones_min.touch" => "5", "mix" => "h12 10 volume 8 to 12", "packs" => [ [ "1000", "ml", "34.50" ] ] } }
  end
  def consumable
    { name: "N", unit: "m", pack: 1, price: 2.5, left: 3,
      wear: { kinds: "coat", methods: "brush", grits: "P320", per_m2: "1", per_coat: "0.5" } }
  end

  # Records of every kind.
  def set_up_everything
    set_up_shop
    stock_two_part
    @can = Batch.first
    Tool.create!(name: "gun", used_for: "spray")
    @piece = make_piece(steps: [ coat("s1", coats: 2), coat("s2", product: "seal") ])
    @entry = log(@piece, "s2/1/top", "done", 1.hour.ago)
    @board = Board.create!(name: "B", wood: "elm", grain: "open", width_mm: 400, height_mm: 300,
                           made_on: Date.new(2026, 11, 1), piece: @piece)
    @cell, @other = 2.times.map { |index|
      @board.cells.create!(label: (index + 1).to_s, position: index, layers: [ coat("s1") ])
    }
    @photo = Photo.take!(StringIO.new(picture), client_id: "p", cell: @cell)
    @mix = Mix::Start.alone!({ "product" => "w20", "want" => { "amount" => "500 ml" } })
    Timber.create!(name: "Old beam", wood: "oak", facts: { "tannin" => false }, words: "tried")
    Consumable.create!(name: "paper", unit: "sheets", wear: [])
    Trial.create!(name: "T", piece: @piece, base: [ coat("s1") ],
                  factors: [ { "name" => "coats", "step" => "s1", "field" => "coats", "levels" => [ 1, 2 ] } ])
    Instrument.begin!(name: "Wall", room: Room.first, stand_in: "none")
    @recipe = Template::Kept.new(name: "A").piece!(make_piece(name: "Book", steps: [ coat("s1", coats: 2) ]))
    @wren = Person.create!(name: "Wren", at_bench: false)
    @link, @token = GuestLink.make!("approval", @cell)
  end

  IDS = {
    "jobs" => -> { Job.first }, "pieces" => -> { Piece.first }, "photos" => -> { Photo.first },
    "trials" => -> { Trial.first }, "boards" => -> { Board.first }, "batches" => -> { Batch.first },
    "products" => -> { (Product.find_by(code: "waxy") || Product.last) }, "consumables" => -> { Consumable.first },
    "timbers" => -> { Timber.first }, "cells" => -> { Cell.first }, "mix" => -> { Mix.first },
    "faults" => -> { "runs" }, "handbook" => -> { "film" }, "book" => -> { Template.first },
    "links" => -> { GuestLink.first }, "backups" => -> { "20261123-070000" },
    "instruments" => -> { Instrument.first }
  }.freeze

  # @return [Array<Array(String, String)>] verb and pattern of every route of ours
  def routes
    Rails.application.routes.routes.reject(&:internal).filter_map do |route|
      path = route.path.spec.to_s.delete_suffix("(.:format)")
      route.verb.split("|").reject { |verb|
        verb.empty? || verb == "PUT"
      }.map { |verb| [ verb, path ] } unless path.start_with?("/rails", "/*") || path == "*path"
    end.flatten(1).uniq
  end

  def applied = { piece_id: @piece.id, version: 1, values: { "s1/coats" => 3 }, products: { "w20" => "w80" } }
  def wish
    { sheen: [ 10, 40 ], pores: "open", opaque: false, pale: false, gear: %w[brush wipe], odour: 3, skill: 2,
repair: true, due: "2026-12-24T12:00:00Z", weights: { date: 3 } }
  end

  def timber = { name: "Batch 7", wood: "oak", facts: { tannin: false }, words: "tried with vinegar" }

  # A pattern with things that are there.
  def filled(pattern)
    owners = { entry: @entry, piece: @piece, board: @board, cell: @cell, mix: @mix, batch: @can, photo: @photo, room: Room.first, template: @recipe, person: @wren, job: @piece.job,
               product: (Product.find_by(code: "waxy") || Product.last) }
    path = pattern.sub("(/:id)", "/film").gsub(/:(\w+)_id/) { owners.fetch(Regexp.last_match(1).to_sym).id.to_s }
    path.sub(":token", @token).gsub(%r{/(\w+)/:id}) do
      record = IDS.fetch(Regexp.last_match(1)).call
      "/#{Regexp.last_match(1)}/#{record.respond_to?(:id) ? record.id : record}"
    end
  end
end
