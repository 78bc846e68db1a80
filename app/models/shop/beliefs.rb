# What the shop's own log teaches of how fast its products dry and its hands are: a fold of all dry tests and of all
# work that was begun and done, of closed jobs too.
class Shop::Beliefs
  # What happened longer ago tells nothing any more, or its clock was wrong.
  OLDEST = 10.years
  # Hands of longer ago are another pace, and each entry folds these again. An estimate.
  PACE_LASTS = 1.year
  # What a plan is made from, of all that the log holds.
  OF_PLANS = %w[started tick measured done dry_test].freeze
  FIELDS = %w[milestone answer exact by person readings drops nth comb_um pot_g from].freeze
  # What a log teaches, by its names in rhexon-shop/1.
  TAUGHT = %w[beliefs coat_sd pace transfer abrasion].freeze
  # @!attribute core    [Hash] TAUGHT
  # @!attribute lessons [Array<Rhexon::Planning::Learning::Lesson>] what each coat taught
  # @!attribute paces   [Array<Rhexon::Planning::PaceLearning::Observation>]
  # @!attribute shares  [Hash{String=>Array<Rhexon::Planning::OwnShare::Observation>}] of "transfer" and "abrasion"
  Learned = Struct.new(:core, :lessons, :paces, :shares, keyword_init: true)
  # The same of one piece.
  Observed = Struct.new(:looks, :paces, :shares, keyword_init: true)
  NOTHING = Learned.new(core: { "beliefs" => [] }.freeze, lessons: [], paces: [],
                        shares: { "transfer" => [], "abrasion" => [] }.freeze).freeze
  @lock = Mutex.new

  class << self
    # @param floor [Hash] rhexon-shop/1, without pieces, log and beliefs
    # @return [Hash] TAUGHT
    def for(floor) = learned_from(floor).core

    # @param floor [Hash] the same
    # @return [Learned]
    def learned_from(floor)
      kept([ Entry.connection_db_config.database, *Stamp.current.of("entries", "forgotten_lessons"),
             floor["rooms"], floor["products"].object_id ]) { learned(floor) }
    end

    # Entries of the log that stand, as rhexon-shop/1 has them.
    # @param ids [Array<Integer>] of pieces
    # @param clock [Rhexon::Zone]
    # @return [Array<Hash>] those of a piece in the order they happened
    def log(ids, clock) = logs(ids, clock).values.flatten(1)

    # The same, by piece.
    # @return [Hash{Integer=>Array<Hash>}]
    def logs(ids, clock)
      rows = Entry.uncorrected.where(piece_id: ids, kind: OF_PLANS, happened_at: OLDEST.ago..)
        .order(:happened_at, :id)
        .pluck(:piece_id, :kind, :pass_key, :happened_at, :body)
      ids.index_with([]).merge(
        rows.group_by(&:first).transform_values { |mine|
          mine.map { |_, kind, pass, at, body|
            { "kind" => kind, "pass" => pass, "at" => clock.iso(at.to_i / 60), **body.slice(*FIELDS) }
          }
        }
      )
    end

    private

    def teaching
      Entry.uncorrected.where(kind: %w[dry_test measured])
        .or(Entry.uncorrected.where(kind: "started", happened_at: PACE_LASTS.ago..))
    end

    # What was learned last, until something is added.
    def kept(key)
      @lock.synchronize { return @beliefs if @key == key }
      yield.tap { |beliefs| @lock.synchronize { @key, @beliefs = key, beliefs } }
    end

    def learned(floor)
      seen = observed(floor)
      return NOTHING if seen.empty?

      looks = seen.flat_map(&:looks).sort_by { |one| [ one.at, one.product, one.phase ] }
      lessons, beliefs, sd = Rhexon::Planning::Learning.of(remembered(looks))
      paces = seen.flat_map(&:paces).sort_by { |one| [ one.at, one.work ] }
      shares = %w[transfer abrasion].index_with { |name| seen.flat_map { |one| one.shares[name] }.sort_by(&:at) }
      Learned.new(core: { "beliefs" => beliefs, "coat_sd" => sd,
                          "pace" => Rhexon::Planning::PaceLearning.taught(paces),
                          **shares.transform_values { |of_all| Rhexon::Planning::OwnShare.taught(of_all) } },
                  lessons: lessons, paces: paces, shares: shares)
    end

    # What the log of each piece has to say, folded anew where something was added to it or its schedule is another.
    # @return [Array<Observed>] in the order of the pieces
    def observed(floor)
      @lock.synchronize do
        basis = floor.values_at("rooms", "products", "people", "house")
        @folds = {} unless @basis&.zip(basis)&.all? { |was, now| was.equal?(now) }
        @basis = basis
        keys = fold_keys
        missing = keys.keys.reject { |id| @folds[id]&.first == keys[id] }
        fold(floor, missing).each { |id, seen| @folds[id] = [ keys[id], seen ] } if missing.any?
        keys.keys.sort.filter_map { |id| @folds[id].last }
      end
    end

    # @return [Hash{Integer=>Array}] what the log of a piece is folded from, by piece that may teach something
    def fold_keys
      logs = Stamp.current.logs
      heads = Schedule.where(piece_id: logs.keys).pluck(:piece_id, :head_id).to_h
      logs.to_h { |id, mark| [ id, [ mark, heads[id], Date.current ] ] }
    end

    # @return [Hash{Integer=>Observed, nil}] nil: it teaches nothing
    def fold(floor, ids)
      pieces = Piece.where(id: teaching.where(piece_id: ids).select(:piece_id)).includes(:faces, :job, schedule: :head)
      shop = shop_of(floor, pieces.order(:id).to_a) if pieces.any?
      return ids.index_with(nil) unless shop

      logged = Rhexon::Planning::ActualWork.of(shop).all.group_by { |placement| placement.pass.piece.id }
      ids.index_with { |id| (mine = logged["p#{id}"]) && observations(shop, mine) }
    end

    def observations(shop, logged)
      Observed.new(looks: Rhexon::Planning::Learning.observations(shop, logged),
                   paces: Rhexon::Planning::PaceLearning.observations(shop, logged),
                   shares: { "transfer" => Rhexon::Planning::Transfer.observations(shop, logged),
                             "abrasion" => Rhexon::Planning::RubbedOff.observations(shop, logged) })
    end

    # A piece of a closed job may name what the shop no longer has: it teaches nothing, and the others do.
    # @return [Rhexon::Planning::Shop, nil]
    def shop_of(floor, pieces)
      clock = Shop.current.clock
      Rhexon::Planning::Shop.new(
        floor.except(*TAUGHT, "stock", "previous").merge(
          "pieces" => pieces.map { |piece| piece.to_core(clock) }, "log" => log(pieces.map(&:id), clock)
        )
      )
    rescue Rhexon::InvalidInput
      sound = pieces.size > 1 ? pieces.select { |piece| shop_of(floor, [ piece ]) } : []
      shop_of(floor, sound) if sound.any? && sound.size < pieces.size
    end

    def remembered(observations)
      up_to = ForgottenLesson.up_to
      observations.reject { |one| (at = up_to[[ one.product, one.phase ]]) && one.at <= at }
    end
  end
end
