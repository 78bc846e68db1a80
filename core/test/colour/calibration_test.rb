require "test_helper"

# What boards teach: readings made with a known truth must give it back, and only then be used.
class TaughtTest < CoreTest
  Calibration = Rhexon::Colour::Calibration
  DYE = {
    "id" => "dye", "name" => "Dye", "class" => "water_dye", "colour" => "tinted",
    "optics" => { "kind" => "dye", "bands" => [ [ 430, 55, 6.0 ], [ 530, 45, 2.0 ] ] }
  }.freeze

  def products
    @products ||= [
      DYE, { "id" => "w20", "name" => "W20", "class" => "waterborne_two_part", "sheen_gu" => 28 }
    ].to_h { |record| [ record["id"], Rhexon::Materials::Product.read(record) ] }
  end

  def layers(percent)
    [
      step("s1", "sand", grits: [ "P220" ]),
      step("s2", "stain", product: "dye", method: "wipe", strength_percent: percent), coat("s3", coats: 2)
    ]
  end

  # Cells as they would read if the dye were so strong.
  def board(strength, percents, bare: nil, more: [])
    wood = bare ? Rhexon::Colour::Wood.read(species: "elm", lab: bare) : Rhexon::Colour::Wood.for_species("elm")
    cells = percents.map do |percent|
      {
        "layers" => layers(percent),
        "lab" => Rhexon::Colour::Looks.new(wood, layers(percent), products,
                                           strengths: { "dye" => strength }).final.look.lab
      }
    end
    {
      "wood" => "elm, batch 7",
      "cells" => cells + (bare ? [ { "layers" => layers(50).first(1), "lab" => bare } ] : []) + more
    }
  end

  def test_the_strength_is_found_again_and_goes_into_the_products_optics
    lessons = Calibration.for([ board(1.3, [ 50, 75, 100 ]) ], products)
    fit = lessons.strengths.fetch("dye")
    assert_in_delta 1.3, fit.values["strength"], 0.01
    assert_equal [ 3, [ 50.0, 100.0 ] ], [ fit.count, fit.range ]
    taught = Rhexon::Materials::Product.read(lessons.apply(DYE))
    [ 50, 100 ].each do |percent|
      told = Rhexon::Colour::Looks.new(Rhexon::Colour::Wood.for_species("elm"), layers(percent),
                                       products.merge("dye" => taught)).final
      truth = Rhexon::Colour::Looks.new(Rhexon::Colour::Wood.for_species("elm"), layers(percent), products,
                                        strengths: { "dye" => 1.3 }).final
      assert_operator Rhexon::Colour::DeltaE.ciede2000(told.look.lab, truth.look.lab), :<, 0.2
      assert_empty told.notes
    end
  end

  def test_beyond_what_was_read_it_says_so
    taught = Rhexon::Materials::Product.read(Calibration.for([ board(1.3, [ 50, 75, 100 ]) ], products).apply(DYE))
    stages = Rhexon::Colour::Looks.new(Rhexon::Colour::Wood.for_species("elm"), layers(150),
                                       products.merge("dye" => taught)).stages
    assert_includes stages.flat_map(&:notes), "Dye at 150 % lies beyond what boards were read at (50 to 100 %)"
  end

  def test_the_boards_own_bare_wood_is_what_it_is_reckoned_from
    pale = Rhexon::Colour::Wood.for_species("elm", "pale").lab
    assert_in_delta 0.8,
                    Calibration.for([ board(0.8, [ 40, 70, 100 ], bare: pale) ],
                                    products).strengths["dye"].values["strength"],
                    0.02
  end

  def test_too_few_readings_or_no_gain_teach_nothing
    [ board(1.3, [ 50, 100 ]), board(1.0, [ 50, 75, 100 ]) ].each do |boards|
      assert_same DYE, Calibration.for([ boards ], products).apply(DYE)
    end
    assert_empty Calibration.for([ board(1.3, [ 50 ]).merge("wood" => "plywood") ], products).strengths,
                 "a wood without figures"
  end

  def test_the_surface_is_found_from_clear_cells_beside_bare_ones
    own = Rhexon::Colour::Surface.usual("s" => 0.03, "k2w" => 0.35)
    boards = %w[elm sycamore walnut].map do |species|
      wood = Rhexon::Colour::Wood.for_species(species)
      clear = [ step("s1", "sand", grits: [ "P220" ]), coat("s3") ]
      {
        "wood" => species,
        "cells" => [
          { "layers" => clear.first(1), "lab" => wood.lab },
          { "layers" => clear, "lab" => Rhexon::Colour::Looks.new(wood, clear, products, surface: own).final.look.lab }
        ]
      }
    end
    shares = Calibration.for(boards, products).surface_shares
    assert_in_delta 0.35, shares.fetch("k2w"), 0.06
  end
end
