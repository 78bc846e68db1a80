# What the core plans from, as rhexon-shop/1 has it: read once, and again only what is read from tables that something
# was written to. Schedules are known by their revisions and logs by their pieces, so that an edit or a touch reads
# anew one piece only.
class ShopFloor::Records
  # What the shop itself and its pieces are read from.
  SETTING = %w[
    shops people open_hours rooms climate_readings tools products consumables boards cells readings
  ].freeze
  PIECES = %w[shops jobs pieces faces timbers people boards cells readings].freeze
  STOCK = %w[products batches stock_moves mixes].freeze

  # A piece in hand and the revision in force: its number is given again where the write was undone, its time is not.
  Head = Struct.new(:id, :revision_id, :made_at, :cell_id)

  @lock = Mutex.new

  class << self
    # @return [Records] the same object as long as nothing was written, today
    def current
      stamp = [ Date.current, *Stamp.read.all ]
      @lock.synchronize { @current&.stamp == stamp ? @current : @current = new(stamp, @current&.parts) }
    end

    # What was read inside a transaction that failed never was.
    def forget
      @lock.synchronize { @current = nil }
    end
  end

  attr_reader :stamp, :parts

  # @param parts [Hash, nil] what was read before, each with the marks of its tables
  def initialize(stamp, parts = nil)
    @stamp = stamp
    @parts = parts.dup || {}
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
    known = part(:pieces, PIECES) { {} }
    keys = heads.to_h { |head| [ head, [ head, logs[head.id] ] ] }
    missing = heads.reject { |head| known[head.id]&.first == keys[head] }
    records(missing, read).each { |head, record| known[head.id] = [ keys[head], record ] } if missing.any?
    heads.map { |head| known[head.id].last }
  end

  # @param ids [Array<Integer>] of pieces
  # @return [Array<Hash>] their log
  def log(ids)
    known = part(:logs, %w[shops]) { {} }
    missing = ids.select { |id| logs[id] && known[id]&.first != logs[id] }
    Shop::Beliefs.logs(missing, clock).each { |id, log| known[id] = [ logs[id], log ] } if missing.any?
    ids.flat_map { |id| logs[id] ? known[id].last : [] }
  end

  # A shop that never put a can on the shelf keeps no stock.
  # @param now [Time] mixes do not last
  def stock(now)
    part(:stock, STOCK, now.to_i / 60) { Batch.exists? ? { "stock" => Batch.stock(now: now) } : {} }
  end

  # @return [Hash{String=>Rhexon::Drying::ClimateTimeline}] the air of each room
  def lines
    part(:lines, SETTING) do
      lasting["rooms"].to_h { |room| [ room["id"], Rhexon::Drying::ClimateTimeline.read(room, clock) ] }
    end
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
  def logs = @logs ||= Stamp.current.logs

  # What was read of some tables, until one of them is written to.
  def part(name, tables, *more)
    marks = [ stamp.first, *Stamp.current.of(*tables), *more ]
    kept = @parts[name]
    return kept.last if kept&.first == marks

    yield.tap { |read| @parts[name] = [ marks, read ] }
  end

  def lasting = part(:lasting, SETTING) { setting_of_shop }

  def setting_of_shop
    { "format" => "rhexon-shop/1", "zone" => shop.zone, "goal" => shop.goal, "seed" => 1, "house" => shop.house,
      "people" => people, "tools" => Tool.order(:id).map(&:to_core), "rooms" => rooms, "products" => Shelf.to_core,
      "surface" => Board::Lessons.current.surface_shares, "scale" => { "resolution_g" => shop.scale_g },
      "consumables" => Consumable.order(:id).map(&:to_core) }.freeze
  end

  # @return [Hash{Head=>Hash}]
  def records(heads, read)
    read ||= Piece.where(id: heads.map(&:id)).includes(:faces, :job, :timber, :person, schedule: :head)
    pieces = read.index_by(&:id)
    tried = Board::TriedLooks.new(pieces.values_at(*heads.map(&:id)))
    heads.to_h { |head|
      piece = pieces.fetch(head.id)
      [ head, piece.to_core(clock, tried: tried.for_piece(piece), approved: tried.approved?(piece)).freeze ]
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
