# A board as its page shows it.
class BoardState
  def initialize(board)
    @board = board
  end

  def board = BoardSerializer.new(@board, params: { names: names }).to_h

  # @return [Hash] BoardPage
  def to_h
    BoardPageSerializer.new(page).to_h
  end

  private

  def page
    { board: board, shelf: ShelfItems.all, offers: offers,
      pieces: pieces.map { |piece| { id: piece.id, name: piece.name, wood: piece.wood, client: piece.job.client } },
      lights: Rhexon::Colour::Light.all,
      measures: measures, trial: trial, pairs: Board::Pairs.new(@board).to_h,
      relooks: @board.relooks(today).map { |look| { days: look.days, on: look.on.iso8601, state: look.state } },
      age_days: (today - @board.made_on).to_i, verdict: Board::Verdict.for(@board),
      approval: @board.piece && Approval.for(@board.piece)&.to_h, links: links, work: work, apart: apart }
  end

  # By which clients are asked for their yes.
  def links
    return [] if Current.person&.student?

    GuestLink.where(cell: @board.cells).order(id: :desc).map do |link|
      GuestLinkSerializer.new(link).to_h.merge(cell: link.cell_id)
    end
  end

  # Work that a cell's layers may hold.
  def offers
    place = Rhexon::Proposals::BoardPlace.new(@board.wood, Shelf.products)
    Rhexon::Proposals::NewSteps.new(place).all.map { |offer| StepOfferSerializer.new(offer).to_h }
  end

  def measures
    Rhexon::Boards::Readings.measures.map do |kind, record|
      { kind: kind, name: record["name"], unit: record["unit"], accepted: record["accepted"] }
    end
  end

  # What was varied, and what each thing does to each measure that was read.
  def trial
    trial = @board.trial or return
    table = Rhexon::Reference.judging
    names = table.measures
    read = trial.effects.slice(*names.keys).sort_by { |measure, _| names.keys.index(measure) }
    { id: trial.id, name: trial.name, boards: trial.boards.map { |board| { id: board.id, name: board.name } },
      effects: read.map { |measure, result| effects(measure, result, names.fetch(measure)) },
      weights: table.aspects.to_h { |aspect| [ aspect, trial.weighed.fetch(aspect, 0) ] },
      verdicts: verdicts(trial) }
  end

  def verdicts(trial)
    words = trial.boards.first.cells.select(&:run).to_h do |cell|
      [ cell.label, trial.named_factors.zip(cell.run).map { |factor, level| factor["levels"][level] }.join(", ") ]
    end
    trial.verdicts.map do |verdict|
      {
        label: verdict.id, words: words[verdict.id], score: verdict.score&.round(2),
        aspects: verdict.aspects.transform_values { |score| score.round(2) }, missing: verdict.missing,
        beaten_by: verdict.beaten_by, frontier: verdict.frontier
      }
    end
  end

  def effects(measure, result, record)
    { measure: measure, name: record["name"], unit: record["unit"].to_s, lost: result.lost,
      effects: result.effects.map { |effect|
        {
          words: Rhexon::Boards::Request.label(effect, record["name"]), size: effect.size.round(2),
          low: effect.low&.round(2), high: effect.high&.round(2), told: effect.significance
        }
      } }
  end

  def today = Shop.current.clock.date(Time.current.to_i / 60)

  # How far each two sound cells are apart by day, read or predicted: "smaller id larger id" => CIEDE2000.
  def apart
    labs = @board.cells.reject(&:ruined).filter_map do |cell|
      (lab = cell.summary(nil).lab || cell.looks.last_lab) && [ cell.id, lab ]
    end
    labs.combination(2).to_h do |(one, lab), (other, more)|
      [ [ one, other ].sort.join(" "), Rhexon::Colour::DeltaE.ciede2000(lab, more).round(1) ]
    end
  end

  # The order of work over all cells, each material mixed once.
  def work
    order = @board.work_order
    {
      passes: order.passes.map { |pass|
        {
          words: pass.label(products[pass.step["product"]]&.name), cells: in_words(pass.cells),
          masked: in_words(pass.masked)
        }
      },
      mask_moves: order.mask_moves, amounts: order.amounts(@board.areas, products),
      making: @board.making && Board::Making.new(@board).progress
    }
  rescue Rhexon::InvalidInput
    nil
  end

  def in_words(labels) = Rhexon::Boards::Labels.joined(labels, @board.areas.keys)

  def products = @products ||= Shelf.products
  def names = products.transform_values(&:name)
  def pieces = Access.of(Piece.in_hand).includes(:job).order(:id)
end
