require "test_helper"

# Which room of the core may know which: knowledge goes one way, from what is known of materials and films to the plan,
# to what is said of it, to its picture. An arrow that is not in the list is a circle in the making.
class ArrowsTest < CoreTest
  LIB = File.expand_path("../lib/rhexon", __dir__)
  # Each room may use the rooms before it, and itself. Rooms on one line do not know each other, except as said below.
  STOREYS = [
    %w[statistics],
    %w[materials prep],
    %w[drying mixing],
    %w[film],
    %w[work],
    %w[schedule],
    %w[stock areas colour faults],
    %w[planning],
    %w[search],
    %w[boards proposals],
    %w[chance checks],
    %w[compare diagnosis],
    %w[systems handover],
    %w[templates],
    %w[picture]
  ].freeze
  # What stands beside the rooms: units, zones, typed amounts, schemas, data and errors, known to all and knowing none.
  GROUND = %w[as_typed cache cli error invalid_input reference schema typed units version zone].freeze

  def rooms = Dir[File.join(LIB, "*/")].map { |folder| File.basename(folder) }

  # @return [Array<Array(String, String, String)>] file, its room, the room that it names
  def arrows
    names = rooms.to_h { |room| [ room.capitalize, room ] }
    named = /(?<![:\w])(?:Rhexon::)?(#{names.keys.join("|")})::[A-Z]/
    Dir[File.join(LIB, "**/*.rb")].flat_map do |file|
      place = file.delete_prefix("#{LIB}/")
      code = File.readlines(file).grep_v(/^\s*#/).join
      code.scan(named).flatten.uniq.map { |name| [ place, place[%r{\A(\w+)/}, 1], names.fetch(name) ] }
    end
  end

  def test_every_room_has_its_storey
    assert_equal rooms.sort, STOREYS.flatten.sort
    assert_equal GROUND, Dir[File.join(LIB, "*.rb")].map { |file| File.basename(file, ".rb") }.sort
  end

  def test_arrows_go_one_way
    height = STOREYS.each_with_index.flat_map { |names, storey| names.map { |name| [ name, storey ] } }.to_h
    wrong = arrows.reject { |_, from, to| from == to || (from ? height[from] > height[to] : false) }
    wrong.reject! { |place, from, _| from.nil? && place == "cli.rb" }
    assert_empty wrong.map { |place, _, to| "#{place} must not know #{to}" }
  end

  def test_every_file_holds_the_constant_it_is_named_after
    Zeitwerk::Loader.eager_load_all
    refute_empty Rhexon::Checks::Catalogue.rules
  end
end
