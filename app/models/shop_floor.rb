# Records to core: the whole shop as rhexon-shop/1, and the plan that is kept, put right where it has to be. A piece
# that cannot be planned or drawn is set aside with its reason; the others go on.
class ShopFloor
  # Plans are functions of their input: the last few are kept by its digest.
  KEPT = 6
  @kept = Rhexon::Cache.new(KEPT, lately_used: true)
  @faulty = {}
  @last = {}
  @lock = Mutex.new

  class << self
    # @yieldreturn [Rhexon::Planning::Plan]
    def kept(digest, &planned) = @kept.fetch(digest, &planned)

    # Pieces that could not be computed when the shop was planned last: looked at first the next time.
    # @return [Array<Integer>, nil] piece ids; nil: not planned yet
    def faulty = @lock.synchronize { @faulty[database] }
    def faulty=(ids)
      @lock.synchronize { @faulty[database] = ids }
    end

    # @return [Last, nil]
    def last = @lock.synchronize { @last[database] }
    def last=(made)
      @lock.synchronize { @last[database] = made }
    end

    # What was read inside a transaction that failed never was.
    def forget
      Shelf.forget
      Records.forget
      @kept = Rhexon::Cache.new(KEPT, lately_used: true)
      self.last = self.faulty = nil
    end

    private

    def database = ApplicationRecord.connection_db_config.database
  end

  attr_reader :now

  # @param now [Time]
  # @param anew [Boolean] another plan is searched for, instead of the one that is kept
  def initialize(now: Time.current, anew: false)
    @now = now
    @anew = anew
    @aside = {}
  end

  # @return [Hash] rhexon-shop/1, without the pieces that are set aside
  def to_core = @to_core ||= known(standing)

  # @return [Rhexon::Planning::Plan]
  # @raise [Rhexon::InvalidInput] when the shop itself cannot plan: nobody, no room
  def plan
    @plan ||= PlanLane.turn { standing_plan || sound_plan }
  end

  # Writes the plan down as the one that is kept.
  # @param entry [Entry, nil] the touch that it was planned for
  # @return [Boolean] whether anything in it had changed
  def keep!(entry: nil)
    return false unless Plan::Kept.write!(plan, entry: entry, now: now)

    # What is kept now is this plan: it is not made again for the next look.
    self.class.kept(digest(to_core.merge(placed))) { plan }
    true
  end

  # An error's message shows its object: the whole shop would take minutes.
  def inspect = "#<#{self.class} #{now}>"

  # What is drawn from the plan; where that fails, the piece at fault is set aside and the rest drawn again.
  # @yieldparam plan [Rhexon::Planning::Plan]
  def draw
    yield plan
  rescue StandardError => error
    set_aside!(error)
    yield plan
  end

  # @return [Drawing] of a piece in the plan
  def drawing(piece) = (@drawings ||= {})[[ plan, piece ]] ||= Drawing.new(plan, piece)

  # The plan of the same shop asked for something else.
  # @param fields [Hash{String=>Object}] of rhexon-shop/1
  # @return [Rhexon::Planning::Plan]
  def plan_otherwise(fields) = plan && planned(to_core.merge(fields))

  # The plan with another document for one piece.
  # @return [Rhexon::Planning::Plan]
  def plan_with(piece, document)
    plan
    record = { **records.pieces([ head_of(piece) ]).first, "schedule" => fitting(document) }
    others = to_core["pieces"].reject { |known| known["id"] == piece.core_id }
    planned(to_core.merge("pieces" => (others + [ record ]).sort_by { |known| known["id"].delete_prefix("p").to_i }))
  end

  # @return [Array<Piece>] that are planned
  def pieces = plan && pieces_standing

  # @return [Array<Piece>] the same, with their documents at hand
  def scheduled
    @scheduled ||= pieces.tap do |all|
      ActiveRecord::Associations::Preloader.new(records: all, associations: { schedule: :head }).call
    end
  end

  # @return [Boolean] whether the plan has this piece
  def planned?(piece) = plan && standing.any? { |head| head.id == piece.id }

  # @return [Array<Aside>] pieces that cannot be computed, each with its reason
  def aside = plan && @aside.map { |piece, reason| Aside.new(piece: piece, reason: reason) }

  # @return [Rhexon::Planning::Plan] in which the piece stands
  # @raise [Rhexon::InvalidInput] when it is not in hand, or set aside
  def plan_of(piece)
    piece.in_hand!
    aside = aside_of(piece) and raise Rhexon::InvalidInput.new(aside.reason, where: "pieces/#{piece.id}")
    plan
  end

  # A piece by itself, whether its job is closed or not: what was done to it.
  # @param piece [Piece]
  # @return [Rhexon::Planning::Plan]
  def plan_alone(piece)
    planned({ **setting, "pieces" => [ piece.to_core(records.clock) ], "log" => records.log([ piece.id ]) })
  end

  # Plans a piece as it is kept, by itself.
  # @param piece [Piece]
  # @raise [StandardError] where it cannot be planned
  def stands_alone!(piece)
    head = heads.find { |one| one.id == piece.id } or return
    places = placed["previous"].select { |place| place["pass"].start_with?("#{piece.core_id}/") }
    planned({ **setting, "pieces" => records.pieces([ head ]), "log" => records.log([ piece.id ]), **placed,
              "previous" => places })
  end

  # @return [Aside, nil]
  def aside_of(piece) = aside.find { |set_aside| set_aside.piece == piece }

  private

  def sound_plan
    begin
      look_at_faulty_first
      plan = planned(to_core)
    rescue StandardError => error
      set_aside!(error)
      retry
    end
    self.class.faulty = @aside.keys.map(&:id)
    stands(plan)
    plan
  end

  def fitting(document) = Rhexon::Schedule::Fitting.without_strays(document)

  def all_pieces
    @all_pieces ||= Piece.in_hand.includes(:faces, :job).order(:id).to_a
  end

  def pieces_standing = all_pieces - @aside.keys
  def records = @records ||= Records.current
  def heads = @heads ||= Records.heads
  def head_of(piece) = heads.find { |head| head.id == piece.id }
  def standing = aside_ids.then { |aside| heads.reject { |head| aside.include?(head.id) } }
  def aside_ids = @aside.keys.map(&:id)
  def setting = records.setting(now)

  def known(heads)
    { **setting, "pieces" => records.pieces(heads), "log" => records.log(heads.map(&:id)), **records.stock(now),
      **records.beliefs(now), **placed }
  end

  # @return [Hash] where the plan that is kept has each pass
  def placed = { "effort" => @anew ? "quick" : "kept", "previous" => Plan::Kept.places(records.clock) }

  # So long stands the plan of a large shop, which takes seconds to make, where nothing was written.
  LARGE_STANDS_MIN = 10
  private_constant :LARGE_STANDS_MIN

  def stands(plan)
    self.class.last = Last.new(records, standing, placed["previous"], plan)
  end

  def standing_plan
    last = self.class.last
    return unless last && last.plan.model.large? && !@anew

    last.plan if last.records.equal?(records) && last.heads == heads && last.places.equal?(placed["previous"]) &&
      now.to_i / 60 - last.plan.shop.now < LARGE_STANDS_MIN
  end

  def look_at_faulty_first
    @look_first ||= (self.class.faulty || []).tap do |ids|
      next if ids.empty?

      all_pieces.select { |piece| ids.include?(piece.id) }.each { |piece| set_aside_if_faulty(piece) }
    end
  end

  def planned(json)
    self.class.kept(digest(json)) do
      Rhexon::Search::Planner.plan(Rhexon::Planning::Shop.new(json), near: self.class.last&.plan)
    end
  end

  def digest(json) = Digest::SHA256.hexdigest(JSON.generate(json))

  # Finds the pieces at fault.
  # @raise [StandardError] the error itself where no piece is
  def set_aside!(error)
    raise error if Trouble.of_database?(error)

    setting # what is wrong with the shop itself is no piece's fault
    before = @aside.size
    pieces_standing.each { |piece| set_aside_if_faulty(piece) }
    set_aside_odd_one!(error) if @aside.size == before
    raise error if @aside.size == before
  end

  def set_aside_if_faulty(piece)
    alone = { **setting, "pieces" => records.pieces([ head_of(piece) ]), "log" => records.log([ piece.id ]) }
    Drawing.new(planned(alone), piece).check!
  rescue StandardError => error
    raise if Trouble.of_database?(error)

    set_aside(piece, error)
  end

  # Each can be planned alone, and all together cannot: the one without which the others can.
  def set_aside_odd_one!(error)
    return if standing.size < 2

    odd = pieces_standing.find { |piece| plans_without?(piece) }
    set_aside(odd, error) if odd
  end

  def plans_without?(piece)
    others = standing - [ head_of(piece) ]
    planned({ **setting, "pieces" => records.pieces(others), "log" => records.log(others.map(&:id)) })
  rescue StandardError
    false
  end

  def set_aside(piece, error)
    @aside[piece] = Trouble.reason(error)
    @plan = @to_core = nil
  end
end
