# Fills a seeded shop with the work of years: RHEXON_DATABASE=large RHEXON_DEMO=1 RAILS_ENV=production bin/rails runner
# bench/large_shop.rb [pieces in hand, 200] [steps of each, 25]
# 500 boards with readings, 5000 cans, 100 000 entries of the log, most of them of jobs that are closed.
in_hand, steps = [ ARGV[0] || 200, ARGV[1] || 25 ].map { |given| Integer(given) }
BOARDS, CANS, ENTRIES, CLOSED = 500, 5000, 100_000, 800
now = Time.current

STEPS = [
  { "kind" => "sand", "grits" => %w[P150 P180] }, { "kind" => "stain", "product" => "russet", "method" => "wipe" },
  { "kind" => "coat", "product" => "dewaxed", "method" => "brush", "wet_um" => 70, "coats" => 1, "role" => "seal" },
  { "kind" => "level", "grits" => [ "P320" ], "aim" => "scuff" },
  { "kind" => "coat", "product" => "w20", "method" => "spray", "wet_um" => 80, "coats" => 1, "role" => "top" }
].freeze

def piece_of(job, name, faces: 1)
  Piece.create!(job: job, name: name, wood: "oak", use: "furniture", arris: "eased_3mm",
                faces: Array.new(faces) { |at| Face.new(name: at.zero? ? "top" : "back", area_m2: 0.4, grain: "open") })
end

def plan_steps(piece, count)
  adds = Array.new(count) do |at|
    step = at < 3 ? STEPS[at] : STEPS[3 + (at - 3) % 2]
    { "op" => "add_step", "after" => at.zero? ? nil : "s#{at}", "step" => { "id" => "s#{at + 1}" }.merge(step) }
  end
  piece.schedule.edit!({ "op" => "all", "operations" => adds }, base: 1, reason: "A large shop")
end

def in_slices(model, rows) = rows.each_slice(500) { |slice| model.insert_all!(slice) }

ApplicationRecord.transaction do
  jobs = Array.new([ in_hand / 5, 1 ].max) do |at|
    Job.create!(client: "Client #{at + 1}", due_at: now + (90 + at).days)
  end
  in_hand.times { |at| plan_steps(piece_of(jobs[at % jobs.size], "Piece #{at + 1}"), steps) }
  closed = Array.new(CLOSED / 8) { |at| Job.create!(client: "Former client #{at + 1}", closed_at: now - (at + 1).days) }
  former = Array.new(CLOSED) { |at| piece_of(closed[at / 8], "Former piece #{at + 1}") }

  boards = Array.new(BOARDS) do |at|
    { name: "Large board #{at + 1}", piece_id: former[at % CLOSED].id, wood: "oak", grain: "open", width_mm: 400,
      height_mm: 300, made_on: Date.current - at, created_at: now, updated_at: now }
  end
  in_slices(Board, boards)
  ids = Board.where("name LIKE 'Large board%'").pluck(:id)
  layers = [ { "id" => "s1", **STEPS[1] }, { "id" => "s2", **STEPS[4] } ]
  in_slices(Cell, ids.product((0..5).to_a).map { |board, at|
    { board_id: board, label: (at + 1).to_s, position: at, layers: layers, created_at: now, updated_at: now }
  })
  in_slices(Reading, Cell.where(board_id: ids).pluck(:id).map.with_index { |cell, at|
    { cell_id: cell, kind: "lab", value: [ 36 + at % 5, 20, 22 ], taken_at: now, client_id: "large-#{at}",
      created_at: now }
  })

  products = Product.where(role: [ "top coat", "sealer", "thinner" ]).pluck(:id, :name)
  in_slices(Batch, Array.new(CANS) { |at|
    id, name = products[at % products.size]
    { product_id: id, name: name, state: "opened", opened_on: Date.current - at % 300,
      discarded_at: at < CANS - 60 ? now : nil, created_at: now, updated_at: now }
  })
  in_slices(StockMove, Batch.order(id: :desc).limit(CANS).pluck(:id).map { |batch|
    { batch_id: batch, grams: 900, reason: "received", client_id: "large-#{batch}", created_at: now }
  })
  in_slices(Entry, Array.new(ENTRIES) { |at|
    { client_id: "large-#{at}", kind: "note", piece_id: former[at % CLOSED].id, body: { "words" => "even sheen" },
      happened_at: now - (at + 1).minutes, recorded_at: now }
  })
end
puts "#{Piece.where(job: Job.in_hand).count} pieces in hand, #{Board.count} boards, #{Batch.count} cans, " \
     "#{Entry.count} entries"
