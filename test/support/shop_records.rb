# A small shop to test with: one person, Monday to Friday 7:30 to 16:30, one room at the sheet's air.
module ShopRecords
  MONDAY = Time.utc(2026, 11, 23, 7, 0)

  def set_up_shop
    Shop.create!(name: "Test yard", zone: "Europe/Berlin")
    Room.create!(name: "bench", t_c: 20, rh: 50)
    Person.create!(name: "Imke")
    (1..5).each { |day| OpenHour.create!(weekday: day, opens: "07:30", closes: "16:30") }
    Product.create!(code: "w20", maker: "Skerrow", name: "W20 clear satin", kind: "waterborne_two_part", role: "top coat", figures: { "sheen_gu" => 28 })
    Product.create!(code: "seal", maker: "Orrin", name: "dewaxed shellac", kind: "shellac", role: "sealer")
    Product.create!(code: "waxy", maker: "Orrin", name: "pale flake", kind: "shellac", role: "top coat", figures: { "waxy" => true })
    Product.create!(code: "russet", maker: "Vellaby", name: "russet dye", kind: "water_dye", role: "dye stain", colour: "tinted")
  end

  def make_piece(name: "Desk top", steps: [], **fields)
    job = Job.create!(client: "Quay library #{Job.count}", due_at: Time.utc(2026, 12, 18, 15))
    piece = Piece.create!(job: job, name: name, wood: "elm", use: "furniture", arris: "eased_3mm", faces: [ Face.new(name: "top", area_m2: 1.0, grain: "closed") ], **fields)
    steps.each { |step| add_step(piece, step) }
    piece
  end

  def add_step(piece, step)
    schedule = piece.schedule.reload
    schedule.edit!({ "op" => "add_step", "after" => schedule.document["steps"].last&.fetch("id"), "step" => step }, base: schedule.head.number, reason: "test")
  end

  def coat(id, product: "w20", method: "spray", wet_um: 100, coats: 1, role: "top", **fields)
    { "id" => id, "kind" => "coat", "product" => product, "method" => method, "wet_um" => wet_um, "coats" => coats, "role" => role, **fields.transform_keys(&:to_s) }
  end

  def log(piece, key, kind, at, body = {})
    Entry.record!(client_id: SecureRandom.uuid, kind: kind, happened_at: at, piece: piece, revision: piece.schedule.head, pass_key: "#{piece.core_id}/#{key}", body: body)
  end
end
