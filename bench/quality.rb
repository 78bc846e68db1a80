# Plan quality on small shops: our latest ready / proven optimum of a plain constraint model (MiniZinc with Gecode),
# and ours / lower bound on larger ones.
#
#   ruby bench/quality.rb [first seed] [how many]      default: 101 20, of each of two sizes
#
# Installs Debian's minizinc and flatzinc when they are missing (asks for root). Seeds below 100 were used while tuning.
require "json"
require "open3"
require "tempfile"
ENV["BUNDLE_GEMFILE"] = File.expand_path("../core/Gemfile", __dir__)
ENV["BUNDLE_PATH"] ||= File.expand_path("../vendor/bundle", __dir__)
require "bundler/setup"
require "rhexon"
require_relative "shops"

MODEL = File.expand_path("quality.mzn", __dir__)
LIMIT_S = 20
HORIZON_DAYS = 18
GRID = 5

unless system("which minizinc", out: File::NULL)
  system("apt-get", "install", "-y", "minizinc", "flatzinc", out: File::NULL) ||
    abort("Install the packages minizinc and flatzinc")
end

# A shop as the data of the constraint model. Only its figures (minutes, waits, windows) come from the planner; the
# search does not.
class PlainModel
  def initialize(planner, shop)
    @m = planner.model
    @shop = shop
    @zero = shop.now
    @horizon = HORIZON_DAYS * 1440
  end

  def to_dzn
    { passes: @m.size, people: @shop.people.size, horizon: @horizon, hands: @m.times.hands,
      fits: @m.times.hands.map { |minutes| fits(minutes, GRID) },
      before: @m.passes.each_index.map { |index|
        index > @m.first[@m.piece_of[index]] ? index : 0
      }, **waits, **windows, **endings }
      .map { |name, value| "#{name} = #{written(value)};" }
      .join("\n")
  end

  private

  def written(value) = value.is_a?(Array) ? "[#{value.join(", ")}]" : value

  # Starts, in steps of the grid, from which so many minutes lie in one open interval.
  def fits(minutes, grid)
    hours = @m.hours.first
    ranges = hours.opens.zip(hours.shuts).filter_map do |open, shut|
      first, last = -(-[ open - @zero, 0 ].max / grid), (shut - minutes - @zero).div(grid)
      "#{first}..#{last}" if last >= first && first < @horizon / grid
    end
    ranges.join(" union ")
  end

  # Minutes from the start of hands to the end of laying.
  def laid(index) = @m.times.setup[index] + @m.times.work[index]

  def waits
    rows = @m.passes.each_index.flat_map do |index|
      @m.drying.waits[index].map do |wait|
        [ wait.lower + 1, index + 1, laid(wait.lower) + wait.opening.at(0) - @m.times.setup[index] ]
      end
    end
    {
      waits: rows.size, lower: rows.map { |row| row[0] }, upper: rows.map { |row| row[1] },
      apart: rows.map { |row| row[2] }
    }
  end

  def windows
    rows = @m.passes.each_index.flat_map do |index|
      @m.drying.unders[index].filter_map { |under| under.closing && window(index, under) }
    end
    names = %i[below coat closes sanded scuff scuff_fits rubbed fresh valid]
    { windows: rows.size, **names.each_with_index.to_h { |name, column| [ name, rows.map { |row| row[column] } ] } }
  end

  def window(index, under)
    lower = under.lower
    scuff = @m.times.scuff_min[index]
    rubbed = under.abraded.first&.last
    setup = @m.times.setup
    [
      lower + 1, index + 1, setup[lower] + @m.times.each_min[lower] + under.closing.at(0) - setup[index],
      laid(lower) + under.sand.at(0), scuff, fits(scuff, 1), rubbed ? rubbed + 1 : 0,
      rubbed ? @m.times.hands[rubbed] + 1440 - setup[index] : 0, scuff + 1440 - setup[index]
    ]
  end

  def endings
    rows = @m.passes.each_index.map do |index|
      dry = @m.drying.ready[index]
      [ index + 1, [ @m.times.hands[index], dry ? laid(index) + dry.at(0) : 0 ].max ]
    end
    { last: rows.size, ending: rows.map(&:first), tail: rows.map(&:last) }
  end
end

# The solver looks only below what was found, so that its answer is a proof either way.
# @param most [Integer] minutes from now to ready, as found
# @return [Integer, nil] minutes from now to ready, when it is proven
def optimum(planner, shop, most)
  Tempfile.create([ "shop", ".dzn" ]) do |file|
    file.write(PlainModel.new(planner, shop).to_dzn, "\nmost = #{most};\n")
    file.flush
    out, = Open3.capture2e("minizinc", "--solver", "gecode", "--time-limit", (LIMIT_S * 1000).to_s, MODEL, file.path)
    return out.scan(/ready=(\d+)/).last.first.to_i if out.include?("==========")

    warn out.lines.first(2).join if out.include?("rror")
    warn "The model has no plan as good as ours" if out.include?("UNSATISFIABLE")
  end
  nil
end

def ours(json)
  shop = Rhexon::Planning::Shop.new(json)
  planner = Rhexon::Search::Planner.new(shop)
  began = Process.clock_gettime(Process::CLOCK_MONOTONIC)
  trial, builds = planner.search
  [ planner, shop, trial.ready.compact.max - shop.now, builds, Process.clock_gettime(Process::CLOCK_MONOTONIC) - began ]
end

def row(name, ratios, seconds, builds)
  puts(
    format("%-34s %5d %8.3f %8.3f %8.3f %9.2f %7d", name, ratios.size, ratios.min, ratios.sort[ratios.size / 2],
           ratios.max, seconds.sum / seconds.size, builds.sum / builds.size)
  )
end

first, count = (ARGV[0] || 101).to_i, (ARGV[1] || 20).to_i
puts format("%-34s %5s %8s %8s %8s %9s %7s", "ours / proven optimum", "cases", "least", "median", "worst", "s a plan",
            "builds")
all = []
[
  [ "3 pieces x 6 steps, 1 person", 3, 6, 1 ], [ "4 pieces x 7 steps, 1 person", 4, 7, 1 ],
  [ "4 pieces x 7 steps, 2 people", 4, 7, 2 ]
].each do |name, pieces, steps, people|
  results = { "quick" => [], "full" => [] }
  (first...(first + count)).each do |seed|
    made = results.keys.to_h do |effort|
      [ effort, ours(Shops.plain(seed, pieces: pieces, steps: steps, people: people, effort: effort)) ]
    end
    planner, shop, minutes, = made["full"]
    best = optimum(planner, shop, minutes) or next
    warn "#{name} seed #{seed}: ours #{minutes}, proven #{best}" if minutes != best
    made.each { |effort, (_, _, mine, builds, seconds)| results[effort] << [ mine / best.to_f, seconds, builds ] }
  end
  results.each { |effort, rows| row("#{name}, #{effort}", *rows.transpose) if rows.any? }
  all.concat(results["full"].map(&:first))
end
puts format("full, all: %d proven, %d at the optimum, median %.3f, worst %.3f", all.size,
            all.count { |ratio| ratio <= 1.0 }, all.sort[all.size / 2], all.max)

puts
puts format("%-34s %5s %8s %8s %8s %9s %7s", "ours / lower bound", "cases", "least", "median", "worst", "s a plan",
            "builds")
[
  [ "12 x 20, 1 person", { pieces: 12, steps: 20 } ],
  [ "12 x 20, 2 people, rooms, rack", { pieces: 12, steps: 20, people: 2, rooms: true } ],
  [ "6 x 12, faces in turn, rooms, gun", { pieces: 6, steps: 12, people: 2, rooms: true, faces: 2 } ]
].each do |name, fields|
  means = (first...(first + 3)).map do |seed|
    planner, shop, minutes, builds, seconds = ours(Shops.plain(seed, effort: "full", **fields))
    [ minutes / (planner.bound.ready_at - shop.now).to_f, seconds, builds ]
  end
  row(name, *means.transpose)
end
