# All that the bench page shows.
class BenchState
  LATEST = 12
  # What a touch at the bench made, and a touch takes back.
  TOUCHED = %w[started done tick measured dry_test fault].freeze

  # @param floor [ShopFloor, nil] where it is planned already
  # @param hands [String, nil] whose bench; somebody who is not there: everybody's
  # @param chosen [String, nil] key of a pass that is to be taken up before its turn
  def initialize(floor: nil, hands: nil, chosen: nil)
    @chosen = chosen
    @floor = floor || ShopFloor.new
    @hands = own? ? hands : hands.presence && Person.at_bench.find_by(name: hands)&.name
  end

  # @return [Hash] BenchPage
  def to_h = BenchPageSerializer.new(page).to_h

  # Draws the bench: what cannot be drawn is raised, as for a piece.
  def check! = JSON.generate(BenchSerializer.new(Rhexon::Picture::Bench.new(@floor.plan)).to_h)

  private

  def page
    told = latest
    drawn, words, ids = @floor.draw { |plan|
      Rhexon::Picture::Bench.new(plan, hands: @hands, only_own: own?, chosen: @chosen).then do |bench|
        [ BenchSerializer.new(bench).to_h, labels(bench, told.map(&:pass_key)), bench.pieces ]
      end
    }
    { bench: drawn, **whose, **beside, **moved(told.first), pieces: seen(ids, told).map { |piece|
      PieceSerializer.new(piece).to_h
    },
      read: Bench::ReadCautions.new(seen(ids, told)).to_h,
      latest: told.map { |entry| EntrySerializer.new(entry, params: { words: words }).to_h } }
  end

  # A student is told of what is their own.
  def moved(entry)
    moved = Plan::Told.since_closed(@floor.plan)
    moved = moved.select { |row| theirs.include?(row.piece) } if own?
    { better: !own? && Plan::LongSearch.offer(@floor), noted: Plan::Told.of(entry, @floor.plan), moved: moved }
  end

  def theirs = @theirs ||= @floor.pieces.select { |piece| piece.person_id == Current.person.id }.map(&:core_id)

  # What stands around the work: pots, air, rags.
  def beside
    { pots: Bench::Pots.new(now: @floor.now).to_a.map { |pot| BenchPotSerializer.new(pot).to_h }, mixed: mixed,
      rooms: rooms,
      rags: (Bench::Rags.new(now: @floor.now).left&.to_h unless own?) }
  end

  def rooms
    lines = ShopFloor::Records.current.lines
    Room.order(:id).includes(:instruments).map { |room| RoomSerializer.new(room, params: { lines: lines }).to_h }
  end

  # Those who keep a code give it before the device is theirs.
  def whose = { hands: @hands, everybody: own? ? [] : Person.at_bench.pluck(:name), codes: codes }

  def codes = Person.at_bench.where.not(code_digest: nil).pluck(:name)
  # @return [Boolean] whether nothing is shown but what is a student's own
  def own? = Current.person&.student? || false

  # Those that are drawn or told of; where there is nothing one stands for all, so that the page knows that there are
  # pieces.
  def seen(ids, told)
    told_of = told.map(&:piece_id)
    pieces = own? ? @floor.pieces.select { |piece| piece.person_id == Current.person.id } : @floor.pieces
    pieces.select { |piece| ids.include?(piece.core_id) || told_of.include?(piece.id) }.presence || pieces.first(1)
  end

  def labels(bench, keys)
    bench.rows.select { |row| keys.include?(row.key) }.to_h { |row| [ row.key, row.label ] }
  end

  # Passes that a pot stands ready for or is begun for: key => its page.
  def mixed
    begun = Mix.open.flat_map { |mix| mix.pass_keys.map { |key| [ key, "/mix/#{mix.id}" ] } }
    ready = Batch.standing.where.not(mix_id: nil).preload(:mix).flat_map do |batch|
      batch.mix.pass_keys.map { |key| [ key, "/batches/#{batch.id}" ] }
    end
    (begun + ready).to_h
  end

  # The newest entries that stand, newest first: what "take it back" takes back.
  def latest
    of_hands(Entry.where(piece: @floor.pieces, kind: TOUCHED))
      .includes(:correction, :piece)
      .order(happened_at: :desc, id: :desc)
      .limit(LATEST * 2)
      .reject(&:correction)
      .first(LATEST)
  end

  # On what is theirs, or on work that they began.
  def of_hands(entries)
    return entries unless @hands

    begun = Entry.where(kind: "started").where("body ->> 'person' = ?", @hands).select(:pass_key)
    entries.where(piece: Piece.where(person: Person.where(name: @hands))).or(entries.where(pass_key: begun))
  end
end
