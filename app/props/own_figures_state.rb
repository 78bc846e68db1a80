# What the shop's own log has taught: how fast its products dry and its hands are, how much coats vary, rounds, drops.
class OwnFiguresState
  # Of ten coats eight dry between these.
  LOW, HIGH = 0.1, 0.9
  NAMES = { "early" => %w[touch recoat_opens sand], "hard" => %w[handle rub_out full_cure] }.freeze
  # Drops of so many coats are told.
  MOST_DROPS = 12
  # How a share reads: what of the pot lands, and µm that are rubbed off.
  SHARES = { "transfer" => ->(own) { "#{(own * 100).round} % of the pot" },
             "abrasion" => ->(own) { format("%.1f µm", own) } }.freeze
  private_constant :LOW, :HIGH, :NAMES, :MOST_DROPS, :SHARES

  # @return [Hash] OwnFiguresPage
  def to_h
    OwnFiguresPageSerializer.new(
      { drying: drying, noise: noise, plan_on: Shop.current.house["plan_on"].to_s.presence || plan_on_usual,
        pace: pace, said: said, works: works, said_range: Rhexon::Planning::Pace::SAID.minmax, shares: shares,
        rounds: rounds, drops: drops, zone: Shop.current.zone }
    ).to_h
  end

  private

  def plan = @plan ||= ShopFloor.new.plan
  def learned = @learned ||= Shop::Beliefs.learned_from(ShopFloor::Records.current.setting(Time.current))
  def sd = learned.core["coat_sd"] || Rhexon::Drying::Belief::COAT_SD
  def products = Shelf.products
  def forgotten = @forgotten ||= ForgottenLesson.up_to
  def plan_on_usual = Rhexon::Planning::Shop::HOUSE.fetch("plan_on").to_s

  # @return [Array<Hash>] the most coats first; what was forgotten altogether last
  def drying
    taught = learned.lessons.group_by { |lesson| [ lesson.observation.product, lesson.observation.phase ] }
    known = (taught.keys | forgotten.keys).select { |code, _| products.key?(code) }
    known.map { |key| dried(*key, taught[key] || []) }.sort_by { |one| [ -one[:coats], one[:name], one[:phase] ] }
  end

  def dried(code, phase, lessons)
    belief = lessons.last&.after || Rhexon::Drying::Belief.new(0.0, Rhexon::Drying::Belief::FIRST_SD, 0)
    { product: code, name: products.fetch(code).name, phase: phase, coats: belief.coats, **spread(belief, sd),
      times: times(products.fetch(code), phase, belief), lessons: lessons.map { |lesson| told(lesson) },
      forgotten_at: forgotten[[ code, phase ]] }
  end

  # Factor in the middle, and where eight of ten fall.
  def spread(belief, noise)
    { factor: belief.factor.round(3), low: belief.factor(LOW, noise).round(3),
      high: belief.factor(HIGH, noise).round(3) }
  end

  def times(product, phase, belief)
    method = product.methods_known.first
    NAMES.fetch(phase).filter_map do |name|
      sheet = product.milestone(name, method)&.value or next
      own = [ 0.5, LOW, HIGH ].map { |share| (sheet * belief.factor(share, sd)).round }
      { name: Rhexon::Schedule::Words::MILESTONES.fetch(name), sheet_min: sheet.round, own_min: own[0], low_min: own[1],
        high_min: own[2] }
    end
  end

  def told(lesson)
    look = lesson.observation
    { at: look.at, after_min: look.after, exact: look.exact == true, from: look.from && Math.exp(look.from).round(3),
      to: look.to && Math.exp(look.to).round(3), **spread(lesson.after, sd) }
  end

  def noise
    looks = learned.lessons.map(&:observation)
    { sd: sd.round(3), usual: Rhexon::Drying::Belief::COAT_SD, coats: looks.count { |one| one.exact || one.from },
      wanted: Rhexon::Reference.drying.belief.coats_seen }
  end

  # @return [Array<Hash>] by work, the most often done first
  def pace
    observed = learned.paces.group_by(&:work)
    records = (learned.core["pace"] || []).group_by { |record| record["work"] }
    records.map { |work, mine|
      all, *people = mine.sort_by { |record| record["person"].to_s }.map { |record| paced(record) }
      { work: work_words(work), **all, people: people, m2_min: median(observed[work].map(&:m2_min)).round(1),
        counts: all[:times] >= Rhexon::Planning::Pace::LEAST_TIMES }
    }.sort_by { |one| [ -one[:times], one[:work] ] }
  end

  # What the shop says of its hands, and what it may say it of.
  def said = Shop.current.paces.map { |work, factor| { id: work, work: work_words(work), factor: factor } }
  def works = Rhexon::Planning::Pace.works.map { |work| [ work, work_words(work) ] }.sort_by(&:last)

  def paced(record) = { person: record["person"], times: record["times"], **within(record) }

  # The factor, and where it lies eight times of ten.
  def within(record)
    low, factor, high = [ LOW, 0.5, HIGH ].map do |part|
      Math.exp(record["m"] + Rhexon::Statistics::Normal.quantile(part) * record["s"]).round(2)
    end
    { factor: factor, low: low, high: high }
  end

  # What lands of the pot, and what is rubbed off a film, beside what is taken otherwise.
  def shares
    seen = learned.shares.transform_values { |observed| observed.group_by(&:way) }
    SHARES.map { |what, own|
      { what: what, ways: (learned.core[what] || []).sort_by { |record| [ -record["times"], record["way"] ] }
        .map { |record| share(record, own.(median(seen[what].fetch(record["way"]).map(&:own)))) } }
    }.reject { |one| one[:ways].empty? }
  end

  def share(record, own)
    times = record["times"]
    { way: way_words(record["way"]), own: own, times: times, **within(record).slice(:factor, :low, :high),
      counts: times >= Rhexon::Planning::OwnShare::LEAST_TIMES }
  end

  # "sprayed, conventional", "level between coats"
  def way_words(way)
    first, second = way.split("/")
    [ Rhexon::Materials::Methods::DONE[first] || Rhexon::Schedule::Words.kind(first), second&.tr("_", " ") ].compact
      .join(", ")
  end

  def work_words(work)
    kind, method = work.split("/")
    [ Rhexon::Schedule::Words.kind(kind), *Rhexon::Materials::Methods::DONE[method] ].join(", ")
  end

  def median(values) = values.sort.then { |sorted| (sorted[(sorted.size - 1) / 2] + sorted[sorted.size / 2]) / 2.0 }

  # How often loops went round until they looked right.
  def rounds
    Shop::LoopsTaken.history.taken.group_by { |one| [ one.kind, one.product, one.wood ] }.map do |key, all|
      kind, code, wood = key
      { words: [ Rhexon::Schedule::Words.kind(kind), products[code]&.name, wood ].compact.join(", "), loops: all.size,
        mean: (all.sum(&:rounds) / all.size.to_f).round(1), most: all.map(&:rounds).max }
    end
  end

  # Drops of rubbed oil, coat by coat.
  def drops
    rows = Entry.uncorrected.where(kind: "done").where("body ->> 'drops' IS NOT NULL").includes(:piece, :revision)
      .order(:happened_at, :id).last(200)
    rows.group_by(&:piece).map { |piece, mine|
      { piece: piece.name, drops: mine.last(MOST_DROPS).map { |entry| entry.body["drops"] } }
    }
  end
end
