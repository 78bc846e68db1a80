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
      kept([ Entry.connection_db_config.database, Entry.maximum(:id), *Stamp.current.of("forgotten_lessons"),
             floor["rooms"], floor["products"].object_id ]) { learned(floor) }
    end

    # Entries of the log that stand, as rhexon-shop/1 has them.
    # @param ids [Array<Integer>] of pieces
    # @param clock [Rhexon::Zone]
    # @return [Array<Hash>]
    def log(ids, clock)
      rows = Entry.uncorrected.where(piece_id: ids, kind: OF_PLANS, happened_at: OLDEST.ago..)
        .order(:happened_at, :id)
        .pluck(:kind, :pass_key, :happened_at, :body)
      rows.map do |kind, pass, at, body|
        { "kind" => kind, "pass" => pass, "at" => clock.iso(at.to_i / 60), **body.slice(*FIELDS) }
      end
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
      pieces = Piece.where(id: teaching.select(:piece_id)).includes(:faces, :job, schedule: :head).order(:id).to_a
      return NOTHING if pieces.empty?

      shop = shop_of(floor, pieces)
      return NOTHING unless shop

      logged = Rhexon::Planning::ActualWork.of(shop).all
      looks = remembered(Rhexon::Planning::Learning.observations(shop, logged))
      lessons, beliefs, sd = Rhexon::Planning::Learning.of(looks)
      paces = Rhexon::Planning::PaceLearning.observations(shop, logged)
      shares = { "transfer" => Rhexon::Planning::Transfer.observations(shop, logged),
                 "abrasion" => Rhexon::Planning::RubbedOff.observations(shop, logged) }
      Learned.new(core: { "beliefs" => beliefs, "coat_sd" => sd,
                          "pace" => Rhexon::Planning::PaceLearning.taught(paces),
                          **shares.transform_values { |seen| Rhexon::Planning::OwnShare.taught(seen) } },
                  lessons: lessons, paces: paces, shares: shares)
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
