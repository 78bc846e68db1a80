# Records to core: the whole shop as rhexon-shop/1, and the plan made from it.
class ShopFloor
  # Plans are functions of their input: the last few are kept by its digest.
  KEPT = 6
  @kept = {}
  @lock = Mutex.new

  class << self
    # @yieldreturn [Rhexon::Planning::Plan]
    def kept(digest)
      found = @lock.synchronize { @kept.delete(digest)&.tap { |plan| @kept[digest] = plan } }
      return found if found

      yield.tap do |plan|
        @lock.synchronize do
          @kept[digest] = plan
          @kept.shift while @kept.size > KEPT
        end
      end
    end
  end

  attr_reader :now

  # @param now [Time]
  def initialize(now: Time.current)
    @now = now
  end

  # @return [Hash] rhexon-shop/1
  def to_core
    @to_core ||= begin
      shop = Shop.current
      known = { "format" => "rhexon-shop/1", "now" => shop.clock.iso(now.to_i / 60), "zone" => shop.zone, "goal" => shop.goal, "effort" => "quick", "seed" => 1, "house" => shop.house,
        "people" => people.map(&:to_core), "tools" => Tool.order(:id).map(&:to_core), "previous" => Plan.last_accepted&.starts || [], "rooms" => rooms.map(&:to_core), "products" => Shelf.to_core, "pieces" => pieces.map { |piece| piece.to_core(shop.clock, tried: tried.of(piece), approved: tried.approved?(piece)) }, "log" => ShopBeliefs.log(pieces, shop.clock),
        "surface" => BoardLessons.current.surface_shares, "scale" => { "resolution_g" => shop.scale_g }, "consumables" => Consumable.order(:id).map(&:to_core), **stock }
      known.merge("beliefs" => ShopBeliefs.of(known))
    end
  end

  # @return [Rhexon::Planning::Plan]
  def plan = @plan ||= planned(to_core)

  # The plan of the same shop asked for something else.
  # @param fields [Hash{String=>Object}] of rhexon-shop/1
  # @return [Rhexon::Planning::Plan]
  def plan_otherwise(fields) = planned(to_core.merge(fields))

  # The plan with another document for one piece.
  # @return [Rhexon::Planning::Plan]
  def plan_with(piece, document)
    planned(to_core.merge("pieces" => to_core["pieces"].map { |record| record["id"] == piece.core_id ? record.merge("schedule" => document) : record }))
  end

  def pieces = @pieces ||= Piece.where(job: Job.in_hand).includes(:faces, :job, schedule: :head).order(:id).to_a

  private

  def tried = @tried ||= TriedLooks.new(pieces)

  def people
    Person.at_bench.includes(:open_hours).to_a.tap { |all| raise Rhexon::Refusal.new("Nobody works at the bench yet", where: "people", accepted: "at least one person") if all.empty? }
  end

  def rooms
    Room.order(:id).includes(:climate_readings).to_a.tap { |all| raise Rhexon::Refusal.new("The shop has no room yet", where: "rooms", accepted: "at least one room") if all.empty? }
  end

  # A shop that never put a can on the shelf keeps no stock.
  def stock
    return {} unless Batch.exists?

    { "stock" => Batch.stock(now: now) }
  end

  def planned(json)
    self.class.kept(Digest::SHA256.hexdigest(JSON.generate(json))) { Rhexon::Planning::Planner.plan(Rhexon::Planning::Shop.new(json)) }
  end
end
