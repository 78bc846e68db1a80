require "test_helper"

# Ordinary jobs of many schools: what a hand lays over what every day raises no stop and no caution of bond and air.
class OrdinaryTest < CoreTest
  SHELF = [
    { "id" => "vinyl", "name" => "Vinyl sealer", "class" => "vinyl_sealer" },
    { "id" => "primer", "name" => "Primer", "class" => "waterborne_primer", "colour" => "pigmented" },
    { "id" => "paint", "name" => "Green paint", "class" => "waterborne_one_part", "colour" => "pigmented" },
    { "id" => "polyurethane", "name" => "Two-part clear", "class" => "solvent_two_part" },
    { "id" => "epoxy", "name" => "Clear epoxy", "class" => "epoxy_clear" },
    { "id" => "wiping", "name" => "Wiping varnish", "class" => "wiping_varnish" },
    { "id" => "oil", "name" => "Rubbing oil", "class" => "siccative_oil" },
    { "id" => "hardwax", "name" => "Hardwax oil", "class" => "hardwax_oil" },
    { "id" => "filler", "name" => "Paste filler", "class" => "paste_filler_oil" },
    { "id" => "wax", "name" => "Pale wax", "class" => "wax" }
  ].freeze
  STAINS = %w[umber russet].freeze

  # Wood, then what is laid on from the wood up; a number: so many coats.
  JOBS = <<~JOBS.lines.map(&:split).freeze
    maple seal lacquer 3
    maple vinyl lacquer 3
    maple lacquer 4
    maple vinyl catalysed 2
    cherry vinyl 2 catalysed 2
    cherry catalysed 3
    cherry seal catalysed 2
    cherry seal varnish 3
    cherry seal w20 3
    cherry seal wiping 4
    oak seal paint 2
    oak umber varnish 3
    oak umber seal lacquer 3
    oak russet w20 3
    oak russet seal w20 3
    oak russet lacquer 3
    oak russet seal polyurethane 2
    oak filler varnish 3
    oak hardwax 2
    oak oil 4
    oak oil wax
    oak w20 3
    oak w80 2 w20
    walnut seal w80 3
    walnut oil seal lacquer 2
    walnut waxy 6
    walnut waxy 2 wax
    walnut wiping 5
    walnut wiping 2 varnish 2
    walnut lacquer 2 varnish 2
    walnut polyurethane 3
    beech primer paint 2
    beech primer 2 paint 2
    beech seal primer paint 2
    pine seal varnish 2
    pine seal primer paint 2
    pine varnish 3
    mahogany epoxy 2 varnish 4
    mahogany seal varnish 6
    mahogany epoxy polyurethane 3
    teak oil 3
    teak wiping-off 3
    teak solvent_wipe varnish 5
    teak seal varnish 3
    teak solvent_wipe epoxy 2 polyurethane 3
    elm w20 varnish 2
    elm paint 2
    ash hardwax 3
  JOBS

  # @return [Array<Hash>] a course of a job as steps, after a sanding
  def steps(course)
    course.slice_when { |_, word| !word.match?(/\A\d/) }.each_with_index.map do |(name, coats), index|
      laid(name, "s#{index + 1}", (coats || 1).to_i)
    end
  end

  def laid(name, id, coats)
    return step(id, "clean", way: name) if name == "solvent_wipe"
    return step(id, "wax", product: "wax", method: "wipe") if name == "wax"
    return step(id, "stain", product: name, method: "wipe") if STAINS.include?(name)
    return step(id, "fill", product: name, method: "wipe") if name == "filler"
    return step(id, "oil", product: name, method: "wipe", coats: coats) if name == "oil"

    product = Rhexon::Materials::Product.new((PRODUCTS + SHELF).find { |one| one["id"] == name.delete_suffix("-off") })
    method = product.methods_known.include?("brush") ? "brush" : product.methods_known.first
    off = name.end_with?("-off") ? { wipe_off: true } : {}
    coat(id, product: product.id, method: method, wet_um: product.wet_um(method).value, coats: coats, **off)
  end

  # @return [Array<String>] ids of stops and cautions of bond and air
  def raised(wood, *course)
    made = plan(piece(document(step("s0", "sand", grits: %w[P120 P180 P220]), *steps(course))).merge("wood" => wood),
                products: PRODUCTS + SHELF)
    assert_empty made.build.blocked, course.join(" ")
    Rhexon::Checks::Catalogue.findings(made, "top")
      .select { |one| one.level != "note" && one.id.start_with?("bond.", "climate.") }.map(&:id)
  end

  def test_ordinary_jobs_are_silent_on_bond_and_air
    assert_equal 48, JOBS.size
    assert_empty JOBS.to_h { |job| [ job.join(" "), raised(*job) ] }.reject { |_, ids| ids.empty? }
  end

  def test_each_bad_job_raises_its_own_and_nothing_else
    bad = {
      "teak varnish 4" => "bond.oily_wood", "teak epoxy 2 polyurethane 3" => "bond.oily_wood",
      "maple lacquer 2 catalysed" => "bond.pair",
      "walnut lacquer polyurethane" => "bond.pair", "ash hardwax w20 2" => "bond.pair",
      "oak varnish 2 lacquer" => "bond.lifting", "maple wiping 2 polyurethane" => "bond.lifting",
      "beech primer lacquer 2" => "bond.lifting", "cherry catalysed vinyl catalysed" => "bond.sealer_sandwich",
      "oak waxy w20" => "bond.waxy_shellac"
    }
    assert_equal bad.transform_values { |id| [ id ] }, bad.to_h { |job, _| [ job, raised(*job.split) ] }
  end
end
