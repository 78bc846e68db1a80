require_relative "test_coverage"
require "minitest/autorun"
require "json"
require "rhexon"
require_relative "test_share"

# Small shops to reckon with: one room, one person, ordinary hours, figures of the class defaults.
module ShopHelper
  WEEK = %w[mon tue wed thu fri].to_h { |day| [ day, [ [ "07:30", "16:30" ] ] ] }.freeze
  PRODUCTS = [
    { "id" => "w20", "name" => "W20 clear satin", "class" => "waterborne_two_part", "sheen_gu" => 28 },
    { "id" => "w80", "name" => "W80 clear gloss", "class" => "waterborne_two_part", "sheen_gu" => 82 },
    { "id" => "seal", "name" => "Dewaxed shellac", "class" => "shellac" },
    { "id" => "waxy", "name" => "Pale flake", "class" => "shellac", "waxy" => true },
    { "id" => "lacquer", "name" => "Clear lacquer", "class" => "nitro_lacquer" },
    { "id" => "varnish", "name" => "Bar varnish", "class" => "oil_varnish" },
    { "id" => "catalysed", "name" => "Catalysed clear", "class" => "acid_catalysed" },
    { "id" => "umber", "name" => "Umber oil stain", "class" => "pigment_oil_stain", "colour" => "tinted" },
    { "id" => "russet", "name" => "Russet dye", "class" => "water_dye", "colour" => "tinted" }
  ].freeze

  # @return [Hash] rhexon-plan/1
  def report(plan) = Rhexon::Picture::Report.new(plan).to_h

  def step(id, kind, **fields) = { "id" => id, "kind" => kind, **fields.transform_keys(&:to_s) }

  def coat(id, product: "w20", method: "spray", wet_um: 100, coats: 1, role: "top", **fields)
    step(id, "coat", product: product, method: method, wet_um: wet_um, coats: coats, role: role, **fields)
  end

  def document(*steps, **fields)
    { "format" => "rhexon-schedule/2", "steps" => steps, **fields.transform_keys(&:to_s) }
  end

  def piece(document, id: "top", count: 1, area_m2: 1.0, wood: "closed", **fields)
    {
      "id" => id, "count" => count, "faces" => [ { "id" => "show", "area_m2" => area_m2, "wood" => wood } ],
      "schedule" => document, **fields.transform_keys(&:to_s)
    }
  end

  def shop_json(*pieces, now: "2026-11-23T07:30+01:00", t_c: 20, rh: 50, air: "ordinary", week: WEEK, except: [],
rooms: nil, **fields)
    { "format" => "rhexon-shop/1", "now" => now, "zone" => "Europe/Berlin",
      "people" => [ { "id" => "imke", "week" => week, "except" => except } ],
      "rooms" => rooms ||
        [
          { "id" => "bench", "climate" => [ { "t_c" => t_c, "rh" => rh, "air" => air } ] }
        ], "products" => PRODUCTS, "pieces" => pieces,
      **fields.transform_keys(&:to_s) }
  end

  def plan(*pieces, **fields) = Rhexon::Search::Planner.plan(Rhexon::Planning::Shop.new(shop_json(*pieces, **fields)))

  def at(text) = Rhexon::Zone.minute(text)

  # One placement by the tail of its key, e.g. "s2/1".
  def placement(plan, tail)
    plan.placements.find { |found| found.pass.key.include?("/#{tail}/") && !found.pass.inserted }
  end

  def findings(plan, id, piece_id = "top")
    Rhexon::Checks::Catalogue.findings(plan, piece_id).select { |finding| finding.id == id }
  end

  def document_of(plan) = plan.piece("top").schedule

  # @return [Rhexon::Planning::Plan] with the n-th remedy of the first finding applied
  def remedied(plan, id, index = 0)
    remedy = findings(plan, id).first.remedies.fetch(index)
    plan.with_schedule("top", Rhexon::Schedule::Edit.apply(document_of(plan), remedy.operation))
  end

  def levels(plan, id) = findings(plan, id).map(&:level)

  def refusal(&block) = assert_raises(Rhexon::InvalidInput, &block)
end

class CoreTest < Minitest::Test
  include ShopHelper
end
