require "yaml"

# Jobs in short lines, as a hand would note them: what is done, with what, how, and how many coats.
#
#   sand P120 P180 | raise | stain umber | fill filler | seal seal | coat w20 spray 3 | oil oil 3 | level P320 |
#   rub P400 P600 wool-0000 | polish compound-fine | wax | wait full_cure | look | clean wash | strip scraping
#
# A word with = sets a field of the step: wet_um=80, wet=true, lubricant=oil.
module Workshop
  SHELF = [
    { "id" => "vinyl", "name" => "Vinyl sealer", "class" => "vinyl_sealer", "role" => "sealer" },
    { "id" => "primer", "name" => "Primer", "class" => "waterborne_primer", "colour" => "pigmented" },
    { "id" => "paint", "name" => "Green paint", "class" => "waterborne_one_part", "colour" => "pigmented",
      "sheen_gu" => 30,
      "optics" => { "kind" => "film", "bands" => [ [ 430, 50, 0.10 ], [ 655, 70, 0.16 ] ], "s" => 0.05 } },
    { "id" => "yellow", "name" => "Yellow paint", "class" => "waterborne_one_part", "colour" => "pigmented",
      "sheen_gu" => 30, "optics" => { "kind" => "film", "bands" => [ [ 430, 40, 0.05 ] ], "s" => 0.02 } },
    { "id" => "white", "name" => "White paint", "class" => "waterborne_one_part", "colour" => "pigmented",
      "sheen_gu" => 30, "optics" => { "kind" => "film", "bands" => [ [ 405, 18, 0.002 ] ], "s" => 0.3 } },
    { "id" => "one", "name" => "One-part clear", "class" => "waterborne_one_part", "sheen_gu" => 30 },
    { "id" => "polyurethane", "name" => "Two-part clear", "class" => "solvent_two_part", "sheen_gu" => 40 },
    { "id" => "epoxy", "name" => "Clear epoxy", "class" => "epoxy_clear" },
    { "id" => "wiping", "name" => "Wiping varnish", "class" => "wiping_varnish" },
    { "id" => "oil", "name" => "Rubbing oil", "class" => "siccative_oil" },
    { "id" => "raw", "name" => "Raw oil", "class" => "raw_oil" },
    { "id" => "hardwax", "name" => "Hardwax oil", "class" => "hardwax_oil" },
    { "id" => "filler", "name" => "Paste filler", "class" => "paste_filler_oil" },
    { "id" => "waterfiller", "name" => "Water filler", "class" => "waterborne_filler" },
    { "id" => "glaze", "name" => "Glaze", "class" => "oil_glaze" },
    { "id" => "wax", "name" => "Pale wax", "class" => "wax" },
    { "id" => "flat", "name" => "Flat lacquer", "class" => "nitro_lacquer", "sheen_gu" => 12 },
    { "id" => "bright", "name" => "Gloss lacquer", "class" => "nitro_lacquer", "sheen_gu" => 85 }
  ].freeze
  KINDS = {
    "raise" => "raise_grain", "rub" => "rub_out", "prime" => "coat", "seal" => "coat", "build" => "coat",
    "washcoat" => "coat"
  }.freeze
  METHODS = %w[spray brush roller wipe pad].freeze
  ROLES = {
    "seal" => "seal", "prime" => "primer", "build" => "build", "washcoat" => "washcoat", "coat" => "top"
  }.freeze

  # @param file [String] a list of jobs
  # @return [Array<Hash>]
  def self.jobs(file) = YAML.safe_load_file(File.join(__dir__, file))

  def products = ShopHelper::PRODUCTS + SHELF

  # @param job [Hash] of the list
  # @return [Rhexon::Planning::Plan]
  def made(job) = Rhexon::Search::Planner.plan(Rhexon::Planning::Shop.new(shop_of(job)))

  # @return [Hash] rhexon-shop/1
  def shop_of(job)
    steps = job["steps"].each_with_index.map { |line, index| step_of(line, "s#{index + 1}") }
    shop_json(piece(document(*steps, **(job["schedule"] || {})).transform_keys(&:to_s)).merge(face_of(job)),
              products: products, **(job["shop"] || {}).transform_keys(&:to_sym))
  end

  def face_of(job)
    face = { "id" => "show", "area_m2" => 1.0, "wood" => job["grain"] || "closed", "found" => job["found"] }.compact
    { "faces" => [ face, *job["more_faces"] ], **job.slice("wood", "use", "arris", "due", "wanted", "boards") }
  end

  # @return [Hash] a step of a schedule document
  def step_of(line, id)
    set, words = line.split.partition { |word| word.include?("=") }
    fields = set.to_h { |word| word.split("=", 2).then { |name, value| [ name.to_sym, YAML.safe_load(value) ] } }
    step(id, KINDS.fetch(words[0], words[0]), **taken(words), **fields)
  end

  def taken(words)
    name, *rest = words
    case name
    when "sand", "polish", "rub" then { grits: rest }
    when "level" then { grits: rest, aim: "between" }
    when "scuff" then {}
    when "clean", "strip", "mend", "measure", "test" then { way: rest[0] }
    when "wait" then rest[0].match?(/\A\d+\z/) ? { minutes: rest[0].to_i } : { milestone: rest[0] }
    when "wax" then { product: "wax", method: "wipe" }
    when "stain", "fill", "oil", "glaze" then laid(rest, name)
    when *ROLES.keys then { **laid(rest, name), role: ROLES.fetch(name) }
    else {}
    end
  end

  def laid(rest, name)
    product = Rhexon::Materials::Product.new(products.find { |one| one["id"] == rest[0] })
    method = rest.find { |word| METHODS.include?(word) } || "wipe"
    coats = rest.find { |word| word.match?(/\A\d+\z/) }
    wet = product.wet_um(method)&.value || 80 if ROLES.key?(name) || name == "glaze"
    { product: product.id, method: method, wet_um: wet, coats: (coats || (1 if wet))&.to_i }.compact
  end

  # @return [Array<String>] ids of what is told above a note
  def told(plan)
    Rhexon::Checks::Catalogue.findings(plan, "top").reject { |finding| finding.level == "note" }.map(&:id).uniq.sort
  end
end
