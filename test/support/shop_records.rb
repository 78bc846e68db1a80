# A small shop to test with: one person, Monday to Friday 7:30 to 16:30, one room at the sheet's air.
module ShopRecords
  MONDAY = Time.utc(2026, 11, 23, 7, 0)

  def set_up_shop
    Shop.create!(name: "Test yard", zone: "Europe/Berlin")
    Room.create!(name: "bench", t_c: 20, rh: 50)
    Person.create!(name: "Imke", role: "owner")
    (1..5).each { |day| OpenHour.create!(weekday: day, opens: "07:30", closes: "16:30") }
    Product.create!(code: "w20", maker: "Skerrow", name: "W20 clear satin", kind: "waterborne_two_part",
                    role: "top coat", figures: { "sheen_gu" => 28 })
    Product.create!(code: "seal", maker: "Orrin", name: "dewaxed shellac", kind: "shellac", role: "sealer")
    Product.create!(code: "waxy", maker: "Orrin", name: "pale flake", kind: "shellac", role: "top coat",
                    figures: { "waxy" => true })
    Product.create!(code: "russet", maker: "Vellaby", name: "russet dye", kind: "water_dye", role: "dye stain",
                    colour: "tinted")
  end

  # Imke has read all cautions for the job of a piece.
  def read_cautions(piece, person: "Imke")
    Entry.record!(client_id: "read-#{piece.id}-#{person}", kind: "acknowledged", happened_at: 1.day.ago, piece: piece,
                  body: { "cautions" => Rhexon::Materials::Cautions.ids, "person" => person })
  end

  # Kinds of what was touched, less cautions that were read, in order.
  def touched = Entry.where.not(kind: "acknowledged").order(:id).pluck(:kind)

  # A two-part clear with its hardener, thinner and stock: 10 parts to 100 by volume, 8 to 12 allowed.
  def stock_two_part(base_g: 5000, hardener_g: 800)
    Product.create!(code: "water", maker: "Tap", name: "clean water", kind: "thinner", role: "thinner",
                    figures: { "carrier" => "water", "density_g_per_ml" => 1.0 })
    hardener = Product.create!(code: "h12", maker: "Skerrow", name: "H12 hardener", kind: "hardener", role: "hardener",
                               figures: { "density_g_per_ml" => 1.12, "packs" => [ { "ml" => 500, "price" => 44 } ] })
    clear = Product.find_by!(code: "w20")
    clear.update!(figures: clear.figures.merge(
      "density_g_per_ml" => 1.04, "pot_life_min" => 240, "thinner" => "water", "thinning_range_percent" => [ 0, 10 ],
      "packs" => [ { "ml" => 1000, "price" => 35 } ],
      "mix" => [ { "product" => "h12", "parts" => 10, "role" => "hardener", "range" => [ 8, 12 ] } ],
      "mix_steps" => [ { "after" => "hardener", "do" => "Stir", "min" => 2 } ]
    ))
    Batch.receive!(clear, grams: base_g, lot: "L1") if base_g
    Batch.receive!(hardener, grams: hardener_g) if hardener_g
    clear
  end

  def make_piece(name: "Desk top", steps: [], **fields)
    job = Job.create!(client: "Quay library #{Job.count}", due_at: Time.utc(2026, 12, 18, 15))
    piece = Piece.create!(job: job, name: name, wood: "elm", use: "furniture", arris: "eased_3mm",
                          faces: [ Face.new(name: "top", area_m2: 1.0, grain: "closed") ], **fields)
    steps.each { |step| add_step(piece, step) }
    piece
  end

  def add_step(piece, step)
    schedule = piece.schedule.reload
    schedule.edit!({ "op" => "add_step", "after" => schedule.document["steps"].last&.fetch("id"), "step" => step },
                   base: schedule.head.number, reason: "test")
  end

  # A document as no edit would leave it: a wax in a stain, or whatever is given, by SQL.
  def poison(piece, document = {
    "format" => "rhexon-schedule/1",
    "steps" => [ { "id" => "s1", "kind" => "stain", "product" => "paste_wax", "method" => "wipe" } ]
  })
    Product.find_or_create_by!(code: "paste_wax") do |wax|
      wax.assign_attributes(maker: "Thornlet", name: "pale paste wax", kind: "wax", role: "wax")
    end
    schedule = piece.schedule.reload
    revision = Revision.create!(schedule: schedule, number: schedule.revisions.maximum(:number) + 1,
                                parent: schedule.head, document: document, operation: { "op" => "begin" },
                                reason: "By hand", created_at: Time.current)
    schedule.update!(head: revision)
  end

  def coat(id, product: "w20", method: "spray", wet_um: 100, coats: 1, role: "top", **fields)
    {
      "id" => id, "kind" => "coat", "product" => product, "method" => method, "wet_um" => wet_um, "coats" => coats,
      "role" => role, **fields.transform_keys(&:to_s)
    }
  end

  def log(piece, key, kind, at, body = {})
    Entry.record!(client_id: SecureRandom.uuid, kind: kind, happened_at: at, piece: piece,
                  revision: piece.schedule.head, pass_key: "#{piece.core_id}/#{key}", body: body)
  end

  # A piece with a wanted colour, dyed with what has colour figures: what trials vary.
  def make_dyed_piece
    Product.find_by!(code: "russet")
      .update!(figures: { "optics" => { "kind" => "dye", "bands" => [ [ 430, 55, 9.0 ], [ 535, 42, 2.6 ] ] } })
    make_piece(target_lab: [ 35, 20, 23 ], steps: [
                 { "id" => "s1", "kind" => "sand", "grits" => %w[P150 P180] },
                 { "id" => "s2", "kind" => "stain", "product" => "russet", "method" => "wipe" },
                 coat("s3", product: "seal", method: "brush", wet_um: 60, role: "seal"), coat("s4", coats: 2)
               ])
  end
end
