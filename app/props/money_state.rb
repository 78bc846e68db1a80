# Hours and money of jobs: what was reckoned for what is done, what that took, what was given to the client, and waste.
class MoneyState
  # Closed jobs are shown so long.
  BACK = 1.year
  MOST_JOBS = 60
  # Fewer hours than that say nothing of the next quote, minutes.
  LEAST_MIN = 240

  # @return [Hash] MoneyPage
  def to_h
    MoneyPageSerializer.new(
      { jobs: jobs.map { |job| told(job) }, phases: phases, currency: Shop.current.currency, waste: Shelf::Waste.lately,
        zone: Shop.current.zone }
    ).to_h
  end

  private

  def jobs
    @jobs ||= Job.where(closed_at: nil).or(Job.where(closed_at: BACK.ago..))
      .includes(pieces: [ :faces, :given_quotes, { schedule: :head } ]).order(:closed_at, :id).limit(MOST_JOBS)
      .to_a.select { |job| quotes(job).any? }
  end

  # Of pieces that can be reckoned.
  # @return [Array<Rhexon::Compare::Quote>]
  def quotes(job) = (@quotes ||= {})[job.id] ||= job.pieces.filter_map { |piece| quote(job, piece) }

  def quote(job, piece)
    piece.association(:job).target = job
    state = QuoteState.new(piece, floor: floor)
    state.quote.tap { |quote| return if quote.phases.empty? }
  rescue Rhexon::InvalidInput
    nil
  end

  def floor = @floor ||= ShopFloor.new

  def told(job)
    all = quotes(job)
    phases = all.flat_map(&:phases)
    given = job.pieces.filter_map { |piece| piece.given_quotes.last }
    { id: job.id, client: job.client, closed: !job.closed_at.nil?, pieces: job.pieces.size,
      reckoned_min: phases.sum(&:min).round, done_min: phases.sum(&:done_min).round,
      real_min: phases.sum(&:real_min).round, price: all.sum { |quote| quote.sums.gross }.round(2),
      given: given.any? ? given.sum(&:gross).round(2) : nil, first_piece: job.pieces.first.id }
  end

  # Over all jobs: what a phase takes of what is reckoned, and so what the next quote should say.
  def phases
    done = jobs.flat_map { |job| quotes(job) }.flat_map(&:phases).select { |phase| phase.done_min.positive? }
    done.group_by(&:name).map do |name, mine|
      reckoned, real = mine.sum(&:done_min), mine.sum(&:real_min)
      { name: name, reckoned_min: reckoned.round, real_min: real.round, factor: (real / reckoned).round(2),
        known: reckoned >= LEAST_MIN }
    end
  end
end
