require_relative "rhexon/version"
require_relative "rhexon/refusal"
require_relative "rhexon/reference"

# What a wood finisher computes. Pure functions and frozen values: no clock, no files but core/data, no network.
module Rhexon
  autoload :Units, "rhexon/units"
  autoload :CLI, "rhexon/cli"

  # @raise [Refusal] unless the condition holds
  def self.refuse_unless(condition, what, where:, accepted: nil)
    raise Refusal.new(what, where: where, accepted: accepted) unless condition
  end

  # Autoload constants of a folder: { Constant: "file" }.
  def self.room(name, folder, files)
    mod = const_defined?(name, false) ? const_get(name, false) : const_set(name, Module.new)
    files.each { |constant, file| mod.autoload(constant, "rhexon/#{folder}/#{file}") }
  end

  room :Materials, "materials", Figure: "figure", Product: "product", Pairs: "pairs", Cautions: "cautions", Lines: "lines"
  room :Drying, "drying", Air: "air", Climate: "climate", Line: "line", Progress: "progress", Rate: "rate", Milestone: "milestones", Milestones: "milestones",
                          Opening: "opening", Closing: "closing", Normal: "normal", Belief: "belief", Beliefs: "beliefs", Learning: "learning"
  room :Film, "film", Coat: "coat", Layer: "layer", Stack: "stack", Abrasion: "abrasion", Walk: "walk", Curve: "curve", Least: "least"
  room :Schedule, "schedule", Schema: "schema", Document: "document", Edit: "edit", Kinds: "kinds", Words: "words"
  room :Planning, "planning", Shop: "shop", Person: "person", Room: "room", Piece: "piece", Calendar: "calendar", Pass: "pass", Need: "pass", Hard: "pass", Turns: "turns", Handwork: "handwork", Expansion: "expansion",
                              Facts: "facts", Pin: "pin", Start: "pin", Placement: "placement", Build: "build", Block: "build", Window: "window", Windows: "windows", Scuff: "scuff", Logged: "logged", ShopDays: "shop_days",
                              Drier: "drier", Planner: "planner", Slack: "slack", Moves: "moves", Plan: "plan", Report: "report", Zone: "zone", WhatIf: "what_if"
  room :Search, "search", Hours: "hours", Always: "hours", Lane: "lane", Spans: "spans", Rack: "rack", Floor: "floor", Model: "model", Blocks: "blocks", Trial: "trial", Spot: "spot", Placing: "placing", Settling: "settling",
                          Scuffing: "scuffing", Together: "together", Construct: "construct", Goal: "goal", Bound: "bound", Latest: "latest", Repair: "repair", Swap: "swap", Later: "later", Improve: "improve", Orders: "orders", Unfold: "unfold"
  room :Chance, "chance", Draws: "draws", Weather: "weather", Course: "course", Sampling: "sampling", Rank: "rank", Outlook: "outlook"
  room :Checks, "checks", Finding: "finding", Remedy: "remedy", Context: "context", Course: "course", Laid: "course", Alternatives: "alternatives", NoDate: "no_date", Catalogue: "catalogue"
  room :Picture, "picture", Section: "section", Strip: "strip", Sheet: "sheet", Row: "row", Mix: "mix", AirLine: "air_line", Bench: "bench", ShopPlan: "shop_plan", Growth: "growth"
  room :Faults, "faults", Fault: "fault", Mending: "mending", Log: "log"
  room :Areas, "areas", WetEdge: "wet_edge", Sections: "sections"
  room :Compare, "compare", Side: "side", Differences: "differences", OtherMethod: "other_method"
  room :Mixing, "mixing", Component: "component", Recipe: "recipe", PourSheet: "pour_sheet", Correction: "correction", Cut: "cut", Cuts: "cuts", Thinning: "thinning", PotLife: "pot_life",
                          Laying: "laying", Typed: "typed", Request: "request", ProductMix: "product_mix", Batches: "batches", Drops: "drops"
  room :Prep, "prep", Abrasive: "abrasive"
  room :Stock, "stock", Keeping: "keeping", Needs: "needs", Packs: "packs", Consumables: "consumables", Shopping: "shopping", Batch: "batch"
  room :Colour, "colour", DeltaE: "delta_e", Lab: "lab", Light: "light", Spectrum: "spectrum", Reflectance: "reflectance", Layer: "layer", Surface: "surface", Wood: "wood", Optics: "optics", Looks: "looks", Look: "look",
                          Cast: "cast", Recipe: "recipe", Metamerism: "metamerism", Patch: "patch", Taught: "taught", Fit: "fit", Cgats: "cgats", Request: "request"
  room :Boards, "boards", Readings: "readings", Promotion: "promotion", Tried: "tried", Relook: "relook", StepStrip: "step_strip", Labels: "labels", Approved: "approved", Layout: "layout", Design: "design", Dealing: "dealing", Subset: "subset", Effects: "effects", StudentT: "student_t", Pairs: "pairs", Judging: "judging",
                          WorkOrder: "work_order", Vary: "vary", Touches: "touches", Request: "request"
end
