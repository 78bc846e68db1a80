# Records to core: the whole shop as rhexon-shop/1, and the plan made from it. A piece that cannot be planned or drawn
# is set aside with its reason; the others go on.
class ShopFloor
  # Plans are functions of their input: the last few are kept by its digest.
  @kept = Rhexon::Cache.new(6, lately_used: true)
  @faulty = {}
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

    private

    def database = ApplicationRecord.connection_db_config.database
  end

  attr_reader :now

  # @param now [Time]
  def initialize(now: Time.current)
    @now = now
    @aside = {}
  end

  # @return [Hash] rhexon-shop/1, without the pieces that are set aside
  def to_core = @to_core ||= known.then { |shop| shop.merge(Shop::Beliefs.for(shop)) }

  # @return [Rhexon::Planning::Plan]
  # @raise [Rhexon::InvalidInput] when the shop itself cannot plan: nobody, no room
  def plan
    @plan ||= begin
      @look_first ||= (self.class.faulty || []).tap do |ids|
        all_pieces.select { |piece| ids.include?(piece.id) }.each { |piece| set_aside_if_faulty(piece) }
      end
      planned(to_core)
    rescue StandardError => error
      set_aside!(error)
      retry
    end.tap { self.class.faulty = @aside.keys.map(&:id) }
  end

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
    record = { **piece_record(piece), "schedule" => document }
    others = to_core["pieces"].reject { |known| known["id"] == piece.core_id }
    planned(to_core.merge("pieces" => (others + [ record ]).sort_by { |known| known["id"].delete_prefix("p").to_i }))
  end

  # @return [Array<Piece>] that are planned
  def pieces = plan && standing

  # @return [Array<Aside>] pieces that cannot be computed, each with its reason
  def aside = plan && @aside.map { |piece, reason| Aside.new(piece: piece, reason: reason) }

  # @return [Aside, nil]
  def aside_of(piece) = aside.find { |set_aside| set_aside.piece == piece }

  private

  def all_pieces
    @all_pieces ||= Piece.where(job: Job.in_hand).includes(:faces, :job, schedule: :head).order(:id).to_a
  end

  def standing = all_pieces.reject { |piece| @aside.key?(piece) }

  def known
    { **setting, "pieces" => standing.filter_map { |piece| piece_record(piece) },
      "log" => Shop::Beliefs.log(standing, shop.clock), **stock }
  end

  # All but the pieces and what hangs on them.
  def setting
    @setting ||= { "format" => "rhexon-shop/1", "now" => shop.clock.iso(now.to_i / 60), "zone" => shop.zone,
                   "goal" => shop.goal, "effort" => "quick", "seed" => 1, "house" => shop.house, "people" => people,
                   "tools" => Tool.order(:id).map(&:to_core),
                   "previous" => Plan.last_accepted&.starts || [], "rooms" => rooms,
                   "products" => Shelf.to_core, "surface" => Board::Lessons.current.surface_shares,
                   "scale" => { "resolution_g" => shop.scale_g },
                   "consumables" => Consumable.order(:id).map(&:to_core) }
  end

  def shop = @shop ||= Shop.current

  def piece_record(piece)
    (@records ||= {})[piece.id] ||= piece.to_core(
      shop.clock, tried: tried.for_piece(piece), approved: tried.approved?(piece)
    )
  end

  def tried = @tried ||= Board::TriedLooks.new(all_pieces)

  # Those who have left the bench are known by name: the log and pins name them.
  def people
    all = Person.order(:id).includes(:open_hours).to_a
    Rhexon.refuse_unless(
      all.any?(&:at_bench), "Nobody works at the bench yet", where: "people", accepted: "at least one person"
    )
    all.map(&:to_core)
  end

  def rooms
    Room.order(:id)
      .includes(:climate_readings).to_a
      .tap { |all|
        Rhexon.refuse_unless(
          all.any?, "The shop has no room yet", where: "rooms", accepted: "at least one room"
        )
      }
      .map(&:to_core)
  end

  # A shop that never put a can on the shelf keeps no stock.
  def stock
    @stock ||= Batch.exists? ? { "stock" => Batch.stock(now: now) } : {}
  end

  def planned(json)
    self.class.kept(Digest::SHA256.hexdigest(JSON.generate(json))) do
      Rhexon::Search::Planner.plan(Rhexon::Planning::Shop.new(json))
    end
  end

  # Finds the pieces at fault.
  # @raise [StandardError] the error itself where no piece is
  def set_aside!(error)
    raise error if Trouble.of_database?(error)

    setting # what is wrong with the shop itself is no piece's fault
    before = @aside.size
    standing.each { |piece| set_aside_if_faulty(piece) }
    set_aside_odd_one!(error) if @aside.size == before
    raise error if @aside.size == before
  end

  def set_aside_if_faulty(piece)
    alone = { **setting, "pieces" => [ piece_record(piece) ], "log" => Shop::Beliefs.log([ piece ], shop.clock) }
    Drawing.new(planned(alone), piece).check!
  rescue StandardError => error
    raise if Trouble.of_database?(error)

    set_aside(piece, error)
  end

  # Each can be planned alone, and all together cannot: the one without which the others can.
  def set_aside_odd_one!(error)
    return if standing.size < 2

    odd = standing.find { |piece| plans_without?(piece) }
    set_aside(odd, error) if odd
  end

  def plans_without?(piece)
    planned({
      **setting, "pieces" => (standing - [ piece ]).map { |other| piece_record(other) },
                 "log" => Shop::Beliefs.log(standing - [ piece ], shop.clock)
            })
  rescue StandardError
    false
  end

  def set_aside(piece, error)
    @aside[piece] = Trouble.reason(error)
    @plan = @to_core = nil
  end
end
