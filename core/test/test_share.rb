require "zlib"

# Which share of a heavy test is drawn: RHEXON_TESTS=quick a twentieth, ci a quarter, full all of it. What is drawn
# turns with the commit, so that the whole is seen over days; RHEXON_SEED draws the same again.
module TestShare
  PARTS = { "quick" => 20, "ci" => 4, "full" => 1 }.freeze
  MODE = ENV.fetch("RHEXON_TESTS", "quick")
  SEED = Integer(ENV.fetch("RHEXON_SEED") { "0x0#{`git rev-parse --short=7 HEAD 2>/dev/null`.strip}" })

  module_function

  # @param name [String] of the test: each test draws by itself
  # @param all [Array, Range, Integer] what there is, or how much
  # @param most_parts [Integer] of how many one is drawn at most, where a twentieth would be too few to tell anything
  # @return [Array] in the order in which it stood
  def of(name, all, most_parts: PARTS.values.max)
    part(name, all.is_a?(Integer) ? Array.new(all) { |at| at } : all.to_a, [ PARTS.fetch(MODE), most_parts ].min)
  end

  # One of so many parts of what there is.
  def part(name, items, parts)
    own = Zlib.crc32(name)
    places = items.each_index.to_a.shuffle(random: Random.new(own))
    items.values_at(*places.select.with_index { |_, at| (at + own + SEED) % parts == 0 }.sort)
  end

  def full? = MODE == "full"

  # Whole tests of a class of which a run of all parts draws a share, too; asked for by file, all of them run.
  # @param parts [Hash{Symbol => Integer}] by mode, of how many one is drawn; all where nothing is said
  def draw_tests(test_class, **parts)
    return unless ENV["RHEXON_PART"]

    of_how_many = parts.fetch(MODE.to_sym, 1)
    test_class.define_singleton_method(:runnable_methods) do
      all = super()
      all & TestShare.part(name, all.sort, of_how_many)
    end
  end

  # How to draw the same again.
  def words = "RHEXON_TESTS=#{MODE} RHEXON_SEED=#{SEED}"
end
