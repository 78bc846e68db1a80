module Demo
  PRODUCTS = File.expand_path("products.yml", __dir__)

  # [code, state, grams, lot, days since it came or was opened, more]
  CANS = [
    [ "w20", "opened", 1750, "26-0311", 62, {} ], [
      "w80", "sealed", 1050, "26-0310", 40, {}
    ], [ "h12", "opened", 164, "H-88", 62, {} ], [ "h12", "sealed", 560, "H-91", 30, {} ],
    [ "hb_primer", "opened", 4300, "P-1207", 20, {} ], [
      "harbour_green", "opened", 13_600, "HG-5, HG-6, HG-7", 12, { boxed: true }
    ], [ "harbour_green", "opened", 420, "HG-5, HG-6, HG-7", 12, { boxed: true, kept: true } ],
    [ "chalk_white", "opened", 640, "CW-2", 410, {} ], [ "s40", "sealed", 4900, "S-300", 90, {} ], [
      "s41", "opened", 240, "S-302", 130, {}
    ], [ "s_thin", "opened", 700, nil, 90, {} ], [ "l10", "opened", 4100, "L-77", 150, {} ],
    [ "l_thin", "opened", 3100, nil, 150, {} ], [ "e1", "opened", 720, "E-9", 70, {} ], [
      "e2", "opened", 330, "E-9", 70, {}
    ], [ "russet", "opened", 380, "R-41", 14, {} ], [ "russet", "opened", 290, "R-44", 6, {} ],
    [ "umber", "opened", 510, nil, 200, {} ], [ "walnut", "opened", 88, nil, 30, {} ], [
      "honey", "opened", 61, nil, 30, {}
    ], [ "dewaxed", "mixed", 1460, "jar of 20 July", 126, {} ], [ "pale_flake", "mixed", 2300, nil, 25, {} ],
    [ "pale_flake", "mixed", 300, "last winter's", 290, {} ], [ "vinyl", "sealed", 920, "V-3", 60, {} ], [
      "flake_dewaxed", "sealed", 750, nil, 120, {}
    ], [ "flake_ruby", "opened", 180, nil, 300, {} ], [ "spirit", "opened", 3400, nil, 50, {} ],
    [ "rubbing", "opened", 600, nil, 100, {} ], [ "hardwax", "opened", 610, "HX-2", 24, {} ], [
      "rubbing_oil", "opened", 240, nil, 45, {}
    ], [ "bench_wax", "opened", 260, nil, 80, {} ],
    [ "f40", "sealed", 15_600, "F-12", 30, {} ], [ "f41", "sealed", 1665, "F-12", 30, {} ],
    [ "glaze_medium", "opened", 420, nil, 40, {} ], [ "dye_base", "opened", 800, nil, 60, {} ],
    [ "filler_oil", "opened", 470, nil, 330, {} ],
    [ "bar_varnish", "sealed", 2275, "BV-61", 110, {} ], [ "wiping", "opened", 520, nil, 21, {} ]
  ].freeze

  CONSUMABLES = [
    {
      name: "Discs P150, 150 mm", unit: "disc", pack: 50, price: 21, left: 12,
      wear: [ { kinds: %w[sand], grits: %w[P150], per_m2: 0.6 } ]
    },
    {
      name: "Discs P180, 150 mm", unit: "disc", pack: 50, price: 21, left: 9,
      wear: [ { kinds: %w[sand], grits: %w[P180], per_m2: 0.6 } ]
    },
    {
      name: "Sheets P320", unit: "sheet", pack: 25, price: 16, left: 6,
      wear: [ { kinds: %w[scuff level], grits: %w[P320], per_m2: 0.5 } ]
    },
    {
      name: "Wet sheets P800", unit: "sheet", pack: 25, price: 19, left: 3,
      wear: [ { kinds: %w[level], grits: %w[P800], per_m2: 0.7 } ]
    },
    {
      name: "Wet sheets P1000", unit: "sheet", pack: 25, price: 19, left: 20,
      wear: [ { kinds: %w[level], grits: %w[P1000], per_m2: 0.7 } ]
    },
    {
      name: "Strainers 125 µm", unit: "strainer", pack: 50, price: 11, left: 4,
      wear: [ { kinds: %w[coat stain], methods: %w[spray], per_coat: 1 } ]
    },
    {
      name: "Lint-free cloths", unit: "cloth", pack: 40, price: 14, left: 22,
      wear: [ { kinds: %w[coat stain oil wax], methods: %w[wipe pad], per_coat: 2 } ]
    },
    {
      name: "Blue tape 24 mm", unit: "m", pack: 50, price: 6.2, left: 18,
      wear: [ { kinds: %w[coat], methods: %w[spray], per_m2: 0.4 } ]
    }
  ].freeze

  module_function

  def shelf!(now)
    YAML.safe_load_file(PRODUCTS, aliases: true).each do |record|
      Product.create!(**record.symbolize_keys.reverse_merge(colour: "clear"))
    end
    products = Product.all.index_by(&:code)
    CANS.each_with_index { |can, index| can!(products, can, index, now) }
    CONSUMABLES.each { |record| Consumable.create!(**record) }
    Recipe.create!(name: "Reading-room brown",
                   notes: "Toner for the desk frames: half walnut, the rest honey and black",
                   components: brown(products))
  end

  def can!(products, (code, state, grams, lot, days, more), index, now)
    on = (now - days.days).to_date
    value = products.fetch(code).to_value
    batch = Batch.create!(product: products.fetch(code), name: products.fetch(code).full_name, state: state, lot: lot,
                          made_on: on, opened_on: (on unless state == "sealed"),
                          expires_on: Rhexon::Stock::Keeping.until(value, state, on), **more)
    full =
      value.packs.map { |pack| Rhexon::Mixing::Packs.grams(pack, value) }.select { |pack| pack >= grams }.min || grams
    StockMove.create!(batch: batch, grams: full.round(1), reason: "received", client_id: "demo-can-#{index}",
                      created_at: now - days.days)
    used = (full - grams).round(1)
    if used.positive?
      StockMove.create!(batch: batch, grams: -used, reason: "poured for earlier work",
                        client_id: "demo-can-#{index}-used", created_at: now - (days / 2).days)
    end
  end

  # A blend of a blend: half walnut, half a mix of three honey to one black.
  def brown(products)
    part = ->(code, parts) {
      {
        "name" => products.fetch(code).full_name, "product" => code, "parts" => parts, "basis" => "mass",
        "role" => "colourant", "density_g_per_ml" => products.fetch(code).to_value.density_g_per_ml.value
      }
    }
    [
      part.("walnut", 50),
      {
        "name" => "honey and black", "parts" => 50, "basis" => "mass",
        "components" => [ part.("honey", 3), part.("soot", 1) ]
      }
    ]
  end
end
