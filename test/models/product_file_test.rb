require "test_helper"

class ProductFileTest < ActiveSupport::TestCase
  setup do
    set_up_shop
    stock_two_part
  end

  def read(text) = Product::Exchange.read(text)

  test "what goes out comes in unchanged, as CSV and as JSON" do
    [ Product::Exchange.to_csv(Product.all), Product::Exchange.to_json(Product.all) ].each do |file|
      report = read(file)
      assert_equal [ Product.count, [], [], [] ], [ report.same.size, report.created, report.updated, report.refused ]
    end
  end

  test "sound rows are kept and the others told, row by row" do
    report = read("maker,name,class,density_g_per_ml,taste\nOrrin,pale " \
                  "clear,shellac,0.86,sweet\nOrrin,bad,shellac,0,\nOrrin,pale " \
                  "clear,shellac,,\n,nameless,shellac,,\nOrrin,odd,soup,,\nSkerrow,W20 clear " \
                  "satin,waterborne_two_part,1.05,\n")
    assert_equal [ "Orrin pale clear" ], report.created
    assert_equal [ "Skerrow W20 clear satin" ], report.updated
    assert_equal [ "taste" ], report.ignored
    assert_equal [ 3, 4, 5, 6 ], report.refused.map { |row| row[:row] }
    assert_match(/Density: "0".*more than 0/, report.refused[0][:sentence])
    assert_match(/row 2 already/, report.refused[1][:sentence])
    assert_match(/of no class/, report.refused[3][:sentence])
    assert_equal 1.05, Product.find_by(code: "w20").figures["density_g_per_ml"]
    assert_equal 240, Product.find_by(code: "w20").figures["pot_life_min"],
                 "a column that is left out leaves its figure"
  end

  test "spreadsheets of several kinds" do
    assert_equal 1, read("maker;name;class\nVellaby;grün;water_dye\n".encode("Windows-1252")).created.size
    assert Product.exists?(name: "grün")
    assert_equal 1, read("\xFF\xFE".b + "maker\tname\tclass\nA\tB\tshellac\n".encode("UTF-16LE").b).created.size
    assert_equal 1, read("\uFEFFmaker,name,class\nC,D,shellac\n").created.size
  end

  test "files that cannot be read say why" do
    { "" => /empty/, "maker,name\nA,B\n" => /lacks the column class/, "\x00\x01\x02" => /not text/,
      "{ \"products\": 7 }" => /holds no products/, "{ nonsense" => /not JSON/,
      "maker,name,class\n#{"a,b,shellac\n" * 50_000}" => /50000 rows.*up to 2000/ }.each do |text, sentence|
      error = assert_raises(Rhexon::InvalidInput, text.first(20)) { read(text) }
      assert_match sentence, error.message
    end
    assert_equal 6, Product.count
  end

  test "cells that a spreadsheet would run are written as text and come back" do
    Product.create!(code: "trick", maker: "=cmd", name: "+1+cmd|' /C calc'!A0", kind: "shellac", role: "sealer",
                    figures: { "notes" => "@SUM(1)", "least_air_c" => -5 })
    csv = Product::Exchange.to_csv(Product.where(code: "trick"))
    cells = CSV.parse(csv.delete_prefix("\uFEFF"), headers: true).first
    assert_equal [ "'=cmd", "'+1+cmd|' /C calc'!A0", "'@SUM(1)", "-5" ],
                 cells.values_at("maker", "name", "notes", "least_air_c")
    assert_equal 1, read(csv).same.size
  end
end
