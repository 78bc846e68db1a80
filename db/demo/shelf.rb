module Demo
  # [code, maker, name, class, role, colour, figures]; what is left out is the class default, an estimate.
  SHELF = [
    [ "w20", "Skerrow", "W20 clear satin", "waterborne_two_part", "top coat", "clear",
      { "sheen_gu" => 28, "solids_volume_percent" => 34, "density_g_per_ml" => 1.04, "wet_um" => { "spray" => 90 }, "milestones_min" => { "touch" => 25, "recoat_opens" => 90, "recoat_closes" => 720, "sand" => 120, "handle" => 240, "stack" => 960, "rub_out" => 4320, "full_cure" => 20_160 }, "source" => "Skerrow W20 sheet, March 2026" } ],
    [ "w80", "Skerrow", "W80 clear gloss", "waterborne_two_part", "build coat", "clear",
      { "sheen_gu" => 82, "solids_volume_percent" => 35, "density_g_per_ml" => 1.05, "wet_um" => { "spray" => 90 }, "milestones_min" => { "touch" => 25, "recoat_opens" => 90, "recoat_closes" => 720, "sand" => 120 }, "source" => "Skerrow W80 sheet, March 2026" } ],
    [ "hb_primer", "Skerrow", "HB primer", "waterborne_primer", "primer", "pigmented", { "solids_volume_percent" => 42, "wet_um" => { "spray" => 110 }, "milestones_min" => { "touch" => 30, "recoat_opens" => 120, "recoat_closes" => 2880, "sand" => 120 }, "source" => "Skerrow HB sheet, January 2026" } ],
    [ "harbour_green", "Skerrow", "C30 harbour green", "waterborne_one_part", "top coat", "pigmented", { "sheen_gu" => 30, "solids_volume_percent" => 36, "wet_um" => { "spray" => 100 }, "milestones_min" => { "touch" => 30, "recoat_opens" => 120, "recoat_closes" => 1440, "sand" => 150 }, "source" => "Skerrow C30 sheet, January 2026" } ],
    [ "russet", "Vellaby", "russet dye 1.2 %", "water_dye", "dye stain", "tinted", { "milestones_min" => { "touch" => 35 }, "source" => "Vellaby dye notes, 2025" } ],
    [ "umber", "Vellaby", "umber oil stain", "pigment_oil_stain", "pigment stain", "tinted", {} ],
    [ "dewaxed", "Orrin", "dewaxed shellac, 2 lb cut", "shellac", "sealer", "ambering", { "solids_volume_percent" => 18, "source" => "Orrin flake card, 2026" } ],
    [ "pale_flake", "Orrin", "pale flake, 2 lb cut", "shellac", "top coat", "ambering", { "waxy" => true, "solids_volume_percent" => 18, "source" => "Orrin flake card, 2026" } ],
    [ "vinyl", "Orrin", "vinyl sealer", "vinyl_sealer", "sealer", "clear", { "solids_volume_percent" => 21, "source" => "Orrin VS sheet, 2025" } ],
    [ "hardwax", "Thornlet", "hardwax oil", "hardwax_oil", "oil", "ambering", { "solids_volume_percent" => 62, "sheen_gu" => 18, "milestones_min" => { "touch" => 300, "recoat_opens" => 600, "recoat_closes" => 2880 }, "source" => "Thornlet HX sheet, May 2026" } ],
    [ "rubbing_oil", "Thornlet", "rubbing oil", "siccative_oil", "oil", "ambering", {} ],
    [ "bar_varnish", "Marram", "bar varnish", "oil_varnish", "top coat", "ambering", { "solids_volume_percent" => 49, "sheen_gu" => 88, "source" => "Marram BV sheet, 2024" } ]
  ].freeze

  module_function

  def shelf!
    SHELF.each { |code, maker, name, kind, role, colour, figures| Product.create!(code: code, maker: maker, name: name, kind: kind, role: role, colour: colour, figures: figures) }
  end
end
