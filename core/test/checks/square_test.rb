require "test_helper"

# Planner, square and checks say the same of every two kinds, one over the other: they read one table.
class SquareTest < CoreTest
  KINDS = { "stain" => %w[water_dye pigment_oil_stain], "fill" => %w[waterborne_filler paste_filler_oil],
            "oil" => %w[raw_oil siccative_oil], "glaze" => %w[oil_glaze waterborne_glaze], "wax" => %w[wax] }.freeze
  # Wiped or glazed once they are thinner than what keeps colour out, and hardwax oil is left to its own sheet.
  THIN = %w[shellac waterborne_glaze oil_glaze wiping_varnish hardwax_oil].freeze

  def classes = Rhexon::Materials::Over.kinds.map(&:class_id)
  def products = classes.map { |id| { "id" => id, "name" => id, "class" => id } }

  def laid(id, class_id)
    kind = KINDS.find { |_, ids| ids.include?(class_id) }&.first || "coat"
    product = Rhexon::Materials::Product.new("id" => class_id, "class" => class_id)
    methods = Rhexon::Schedule::Kinds.methods(kind, product)
    method = (%w[brush wipe spray] & methods).first || methods.first
    film = { wet_um: product.wet_um(method)&.value || 30, coats: 1 } if %w[coat glaze].include?(kind)
    step(id, kind, product: class_id, method: method, **film.to_h, **(kind == "coat" ? { role: "build" } : {}))
  end

  # @return [Array(String, Float)] gravest level of what is said of the bond, nil: nothing; hours that it waits
  def told(lower, upper)
    made = plan(piece(document(laid("s1", lower), laid("s2", upper))), products: products)
    said = Rhexon::Checks::Catalogue.findings(made, "top").select { |one| one.id.match?(/\A(bond|colour.over_film)/) }
    [ %w[stop caution note].find { |level| said.any? { |one| one.level == level } }, made ]
  end

  FITS = {
    "never" => [ "stop" ], "barrier" => %w[stop caution], "holds" => [ nil, "note" ], "unknown" => [ nil, "note" ]
  }.freeze

  def test_what_the_square_says_the_check_says
    square = Rhexon::Materials::Over.square
    wrong = classes.product(classes).filter_map do |lower, upper|
      fits = FITS[square[lower][upper]]
      next if lower == upper || fits.nil? || (square[lower][upper] == "never" && THIN.include?(lower))

      level, = told(lower, upper)
      [ lower, upper, square[lower][upper], level ] unless fits.include?(level)
    end
    assert_empty wrong
  end

  # Wax: one-part and wiped films once they can be handled (6 h and 12 h at the sheet's air), others once they can be
  # rubbed out.
  def test_wax_waits_for_what_the_square_says
    { "waterborne_one_part" => "handle", "wiping_varnish" => "handle", "waterborne_two_part" => "rub_out",
      "oil_varnish" => "rub_out", "shellac" => "rub_out" }.each do |lower, milestone|
      _, made = told(lower, "wax")
      coat, wax = made.of_piece("top")
      assert_operator wax.work_start, :>=, made.drier.reached_at(coat, milestone), lower
      answer = Rhexon::Materials::Over.new(*[ lower, "wax" ].map { |id|
        Rhexon::Materials::Product.new("id" => id, "class" => id)
      }).answer
      assert_equal [ "wait", coat.pass.product.milestone(milestone).value ], [ answer.verdict, answer.way.first.min ]
    end
  end
end
