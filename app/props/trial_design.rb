# A trial before it is made: which cells, how they lie and will look, what they take of timber, material and hours,
# and when they can be judged.
class TrialDesign
  TAPE_MM, MARGIN_MM = 12, 10
  # Replicates, and boards in all.
  MOST_BOARDS = 6
  MOST_IN_ALL = 12

  # What a trial is asked for with, by name and type.
  TAKES = { name: :name, piece_id: :whole, base_from: :whole, wood: :name, grain: :name, timber_lot: :words,
            width_mm: :whole, height_mm: :whole, factors: :list, design: :name, runs: :whole, boards: :whole,
            shuffled: :flag, step_strip: :flag, seed: :whole }.freeze

  attr_reader :errors

  # @param given [Hash] "name", "piece_id", "base_from", "wood", "grain", "timber_lot", "width_mm", "height_mm",
  #   "factors", "design", "runs", "boards", "shuffled", "step_strip", "seed"
  # @param base [Array<Hash>, nil] layers to vary where they are no piece's schedule
  def initialize(given, today:, base: nil)
    @given = given
    @today = today
    @base = base
  end

  # @return [Hash] TrialPreview, all that the designer draws
  # @raise [Rhexon::InvalidInput]
  def preview = TrialPreviewSerializer.new(drawn).to_h

  # @return [Array<Hash>] of all boards together
  def amounts
    order.amounts(areas, Shelf.products).map { |amount| amount.merge("ml" => amount["ml"] * boards) }
  end

  # @return [Trial]
  # @raise [Rhexon::InvalidInput]
  def save!
    preview
    Trial.transaction do
      trial = Trial.create!(name: @given["name"].to_s.strip, piece: piece, base: base, factors: factors, design: kind,
                            seed: seed, shuffled: shuffled?)
      boards.times { |index| parts.each_index { |part| board!(trial, index, part) } }
      trial
    end
  rescue ActiveRecord::RecordInvalid => invalid
    raise Rhexon::InvalidInput.new(invalid.record.errors.first.message,
                                   where: invalid.record.errors.first.attribute.to_s)
  end

  private

  def drawn
    { cells: cells.map { |cell| told(cell) }, parts: parts.map { |part| part.map(&:label) }, **laid_out,
      resolution: design.resolution, confounded: design.confounded + between_boards,
      efficiency: design.efficiency&.round(2), boards: boards,
      timber_m2: (width_mm * height_mm * boards * parts.size / 1e6).round(3), amounts: amounts,
      passes: order.passes.size, mask_moves: order.mask_moves,
      target_hex: target && Rhexon::Colour::Lab.hex(target),
      lights: Rhexon::Colour::Light.all,
      **hours }
  end

  Planned = Struct.new(:label, :role, :run, :layers, keyword_init: true)

  def board!(trial, index, part)
    board = trial.boards.create!(name: board_name(trial, index, part), piece: piece, wood: @given["wood"],
                                 grain: @given["grain"] || "closed", timber_lot: lots[[ index, lots.size - 1 ].min],
                                 width_mm: width_mm, height_mm: height_mm, margin_mm: MARGIN_MM, tape_mm: TAPE_MM,
                                 made_on: @today, step_strip: step_strip?)
    arranged(parts[part], index * parts.size + part).each_with_index do |cell, position|
      board.cells.create!(label: cell.label, position: position, role: cell.role, run: cell.run, layers: cell.layers)
    end
  end

  # "Dye, board 2", and "board 2b" where a replicate takes several.
  def board_name(trial, index, part)
    return trial.name if boards * parts.size == 1

    "#{trial.name}, board #{index + 1}#{("a".ord + part).chr if parts.size > 1}"
  end

  # One for each replicate, the last for all that follow.
  def lots = @given["timber_lot"].to_s.split(/[,;]/).map(&:strip).reject(&:empty?).presence || [ nil ]

  # In order, easy to mask; or shuffled within each board, so that a place on the board is not taken for an effect.
  def arranged(mine, turn) = shuffled? ? mine.shuffle(random: Random.new(seed + turn)) : mine

  # The cells of each board of a replicate: as few boards as hold them, each with its own bare and base.
  def parts
    @parts ||= begin
      runs, controls = cells.partition(&:run)
      count = (1..MOST_IN_ALL / boards).find { |number| fits?((runs.size / number.to_f).ceil + controls.size) } || 1
      Rhexon::Boards::Design.dealt(design.runs, count).map { |places| runs.values_at(*places) + controls }
    end
  end

  # What cannot be told, since it lies wholly between the boards of a replicate.
  def between_boards
    at = cells.select(&:run).each_with_index.to_h { |cell, index| [ cell.label, index ] }
    Rhexon::Boards::Design.between_boards(design.runs, parts.map { |part| part.filter_map { |cell| at[cell.label] } },
                                          factors)
  end

  def fits?(count)
    grid(count)
  rescue Rhexon::InvalidInput
    false
  end

  def cells
    @cells ||= begin
      Rhexon::Boards::FactorLevels.check!(base, factors)
      runs = design.runs.each_with_index.map do |run, index|
        Planned.new(label: (index + 1).to_s, role: "run", run: run,
                    layers: Rhexon::Boards::FactorLevels.apply(base, factors, run))
      end
      runs.each { |cell| check!(cell.layers) }
      runs +
        [
          Planned.new(label: "bare", role: "bare", run: nil,
                      layers: base.take_while { |step| %w[sand raise_grain].include?(step["kind"]) }),
          Planned.new(label: "base", role: "base", run: nil, layers: base)
        ]
    end
  end

  # Cells are held to the same rule as a schedule, where they differ from what they begin with.
  def check!(layers)
    layers.each { |step| Rhexon::Schedule::Document.check_products!(step, Shelf.products) }
    before, document = [ base, layers ].map { |steps| Rhexon::Schedule::Document.empty.merge("steps" => steps) }
    Rhexon::Schedule::Fitting.check_changes!(document, before, Shelf.products)
  end

  def design = @design ||= Rhexon::Boards::Design.for(factors, kind, runs: @given["runs"], seed: seed)

  def layout = @layout ||= grid(parts.map(&:size).max)

  def grid(count)
    Rhexon::Boards::Layout.grid(width_mm: width_mm, height_mm: height_mm, margin_mm: MARGIN_MM, tape_mm: TAPE_MM,
                                cells: count, stages: step_strip? ? stages.size : 0)
  end

  # What lies where on the board.
  def laid_out
    { places: layout.places.map { |place| PlaceSerializer.new(place).to_h }, strips: strip_told,
      tapes: layout.tapes.map { |way, from, to| { way: way, from: from, to: to } } }
  end

  # The step strip shows the base after each stage.
  def stages = @stages ||= LooksState.new(@given["wood"], base).stage_hexes

  def strip_told
    layout.strips.zip(stages).map { |place, hexes| PlaceSerializer.new(place).to_h.merge(hexes: hexes) }
  end

  def order = @order ||= Rhexon::Boards::WorkOrder.new(cells.to_h { |cell| [ cell.label, cell.layers ] })
  # Over all boards of a replicate.
  def areas
    parts.each_with_object(Hash.new(0.0)) do |part, sum|
      part.zip(layout.places) { |cell, place| sum[cell.label] += place.width_mm * place.height_mm / 1e6 }
    end
  end

  # The boards as a piece among the others of the shop.
  def hours
    floor = ShopFloor.new.tap(&:plan)
    record = {
      "id" => "trial", "count" => boards, "ready_at" => "handle",
      "faces" => areas.map { |label, area|
        { "id" => label, "area_m2" => area, "wood" => @given["grain"] || "closed" }
      },
      "schedule" => order.document
    }
    plan = floor.plan_otherwise("pieces" => floor.to_core["pieces"] + [ record ])
    ready = plan.build.ready["trial"]
    {
      hands_min: plan.hands_min("trial"), ready_at: ready,
      judged_at: ready && ready + Rhexon::Reference.judging.settles_days * 1440
    }
  end

  def told(cell)
    looks = LooksState.new(@given["wood"], cell.layers)
    {
      label: cell.label, role: cell.role,
      words: cell.run ? factors.zip(cell.run).map { |factor, level|
        Rhexon::Boards::FactorLevels.label(factor, factor["levels"][level], names)
      } : [],
      hexes: looks.last_hexes, lab: looks.last_lab, delta_e: delta(looks.last_lab)
    }
  end

  def delta(lab) = lab && target && Rhexon::Colour::DeltaE.ciede2000(target, lab).round(1)
  def names = @names ||= Shelf.products.transform_values(&:name)
  def piece = @piece ||= Access.named(Piece, @given["piece_id"])
  def target = piece&.target_lab

  def base
    @base ||= begin
      from = Access.named(Piece, @given["base_from"]) || piece
      Rhexon.refuse_unless(
        from, "A trial varies something: choose the schedule it begins with", where: "base_from",
        accepted: "a piece with a schedule"
      )
      steps = from.layers.reject { |step| %w[wait look].include?(step["kind"]) || step["mends"] }
      Rhexon.refuse_unless(
        steps.any?, "The schedule of #{from.name} has no steps yet", where: "base_from",
        accepted: "a piece with a schedule"
      )
      steps
    end
  end

  def factors
    @factors ||= (@given["factors"].is_a?(Array) ? @given["factors"] : []).map do |factor|
      Rhexon.refuse_unless(factor.is_a?(Hash) && factor["levels"].is_a?(Array),
                           "A factor has a step, a field and levels", where: "factors")
      factor.slice("name", "step", "field", "levels")
    end
  end

  def kind = @given["design"].presence || "full"
  def seed = @given["seed"].is_a?(Integer) ? @given["seed"] : 1
  def shuffled? = @given["shuffled"] == true
  def step_strip? = @given["step_strip"] == true && stages.any?

  def boards = whole("boards", 1..MOST_BOARDS, "A trial takes 1 to #{MOST_BOARDS} boards, each a replicate")
  def width_mm = whole("width_mm", 50..3000, "A board is 50 to 3000 mm wide")
  def height_mm = whole("height_mm", 50..3000, "A board is 50 to 3000 mm high")

  def whole(name, range, sentence)
    value = @given[name] || (1 if name == "boards")
    Rhexon.refuse_unless(
      value.is_a?(Integer) && range.cover?(value), sentence, where: name, accepted: "#{range.first} to #{range.last}"
    )
    value
  end
end
