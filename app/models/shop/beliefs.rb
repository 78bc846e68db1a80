# What the shop's own log teaches of how fast its products dry: a fold of all dry tests, of closed jobs too.
class Shop::Beliefs
  # What happened longer ago tells nothing any more, or its clock was wrong.
  OLDEST = 10.years
  NOTHING = { "beliefs" => [] }.freeze
  @lock = Mutex.new

  class << self
    # @param floor [Hash] rhexon-shop/1, without pieces, log and beliefs
    # @return [Hash] "beliefs" and "coat_sd" of rhexon-shop/1
    def for(floor)
      kept([
             Entry.connection_db_config.database, Entry.maximum(:id), floor["rooms"], floor["products"].object_id
           ]) { learned(floor) }
    end

    # Entries of the log that stand, as rhexon-shop/1 has them.
    # @param ids [Array<Integer>] of pieces
    # @param clock [Rhexon::Zone]
    # @return [Array<Hash>]
    def log(ids, clock)
      rows = Entry.uncorrected.where(piece_id: ids, kind: %w[started done dry_test], happened_at: OLDEST.ago..)
        .order(:happened_at, :id)
        .pluck(:kind, :pass_key, :happened_at, :body)
      rows.map do |kind, pass, at, body|
        {
          "kind" => kind, "pass" => pass, "at" => clock.iso(at.to_i / 60),
          **body.slice("milestone", "answer", "exact", "person", "readings", "drops")
        }
      end
    end

    private

    def tests = Entry.uncorrected.where(kind: "dry_test")

    # What was learned last, until something is added.
    def kept(key)
      @lock.synchronize { return @beliefs if @key == key }
      yield.tap { |beliefs| @lock.synchronize { @key, @beliefs = key, beliefs } }
    end

    def learned(floor)
      pieces = Piece.where(id: tests.select(:piece_id)).includes(:faces, :job, schedule: :head).order(:id).to_a
      return NOTHING if pieces.empty?

      clock = Shop.current.clock
      shop = Rhexon::Planning::Shop.new(
        floor.except("beliefs", "coat_sd", "stock", "previous").merge(
          "pieces" => pieces.map { |piece| piece.to_core(clock) }, "log" => log(pieces.map(&:id), clock)
        )
      )
      observations = Rhexon::Planning::Learning.observations(shop)
      beliefs = Rhexon::Planning::Learning.taught(observations)
      { "beliefs" => beliefs, "coat_sd" => Rhexon::Planning::Learning.coat_sd(observations, beliefs) }
    rescue Rhexon::InvalidInput
      NOTHING # a closed job may name what the shop no longer has
    end
  end
end
