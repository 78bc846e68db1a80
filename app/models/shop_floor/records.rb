# What the core plans from, as rhexon-shop/1 has it: read once, and again only when something that a plan is made from
# was written. Schedules are known by their revisions, so that an edit reads anew one piece only.
class ShopFloor::Records
  # A piece in hand and the revision in force: its number is given again where the write was undone, its time is not.
  Head = Struct.new(:id, :revision_id, :made_at, :cell_id)

  @lock = Mutex.new

  class << self
    # @return [Records] the same object as long as nothing was written, today
    def current
      stamp = [ Date.current, *Stamp.read.all ]
      @lock.synchronize { @current&.stamp == stamp ? @current : @current = new(stamp) }
    end

    # What was read inside a transaction that failed never was.
    def forget
      @lock.synchronize { @current = nil }
    end
  end

  attr_reader :stamp

  def initialize(stamp)
    @stamp = stamp
    @pieces = {}
    @logs = {}
  end

  # @return [Array<Head>] of the pieces in hand; read each time
  def self.heads
    Piece.in_hand.left_joins(schedule: :head).order(:id)
      .pluck(:id, "schedules.head_id", "revisions.created_at", "schedules.from_cell_id")
      .map { |row| Head.new(*row).freeze }
  end

  # All but the pieces and what hangs on them.
  # @param now [Time]
  def setting(now) = { **lasting, "now" => clock.iso(now.to_i / 60) }

  def clock = shop.clock

  # @param heads [Array<Head>]
  # @param read [Array<Piece>, nil] the same as records, where they are at hand
  # @return [Array<Hash>] pieces of rhexon-shop/1, in the same order
  def pieces(heads, read = nil)
    known = heads.filter_map { |head| (kept = @pieces[head.id]) && kept.first == head && kept }.to_h
    known.update(records(heads - known.keys, read)) if known.size < heads.size
    heads.map { |head| known.fetch(head) }
  end

  # @param ids [Array<Integer>] of pieces
  # @return [Array<Hash>] their log
  def log(ids) = @logs[ids] ||= Shop::Beliefs.log(ids, clock)

  # A shop that never put a can on the shelf keeps no stock.
  # @param now [Time] mixes do not last
  def stock(now)
    minute = now.to_i / 60
    return @stock.last if @stock&.first == minute

    @stock = [ minute, Batch.exists? ? { "stock" => Batch.stock(now: now) } : {} ]
    @stock.last
  end

  # What the log teaches of drying.
  # @param now [Time]
  # @return [Hash] Shop::Beliefs::TAUGHT
  def beliefs(now)
    @beliefs ||= Shop::Beliefs.for(setting(now)).then { |taught| shop.paces.empty? ? taught : said(taught) }
  end

  private

  # What the shop says of its hands goes before what they taught.
  def said(taught) = taught.merge("pace" => Rhexon::Planning::Pace.said(shop.paces, taught["pace"]))

  def shop = @shop ||= Shop.current

  def lasting
    @lasting ||= { "format" => "rhexon-shop/1", "zone" => shop.zone, "goal" => shop.goal, "seed" => 1,
                   "house" => shop.house, "people" => people,
                   "tools" => Tool.order(:id).map(&:to_core), "rooms" => rooms, "products" => Shelf.to_core,
                   "surface" => Board::Lessons.current.surface_shares,
                   "scale" => { "resolution_g" => shop.scale_g },
                   "consumables" => Consumable.order(:id).map(&:to_core) }.freeze
  end

  # @return [Hash{Head=>Hash}]
  def records(heads, read)
    read ||= Piece.where(id: heads.map(&:id)).includes(:faces, :job, :timber, :person, schedule: :head)
    pieces = read.index_by(&:id)
    tried = Board::TriedLooks.new(pieces.values_at(*heads.map(&:id)))
    heads.to_h { |head|
      piece = pieces.fetch(head.id)
      record = piece.to_core(clock, tried: tried.for_piece(piece), approved: tried.approved?(piece)).freeze
      [ head, record ].tap { |kept| @pieces[head.id] = kept }
    }
  end

  # Those who have left the bench are known by name: the log and pins name them.
  def people
    all = Person.order(:id).includes(:open_hours).to_a
    Rhexon.refuse_unless(
      all.any?(&:at_bench), "Nobody works at the bench yet", where: "people", accepted: "at least one person"
    )
    all.map(&:to_core)
  end

  def rooms
    all = Room.order(:id).includes(:climate_readings).to_a
    Rhexon.refuse_unless(all.any?, "The shop has no room yet", where: "rooms", accepted: "at least one room")
    all.map(&:to_core)
  end
end
