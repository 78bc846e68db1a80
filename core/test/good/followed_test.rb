require "test_helper"
require_relative "workshop"

# A plan that is followed to the minute raises nothing: each pass logged at its planned times, as done when the last is
# laid on or when the hands are clean.
class FollowedTest < CoreTest
  include Workshop

  EXAMPLES = %w[desk-top two-pieces].freeze
  JOBS = Workshop.jobs("good.yml").freeze

  # @param shop [Hash] rhexon-shop/1
  # @return [Hash{String=>Array<Array(String, String)>}] level and id of what is told of each piece, notes left out
  def raised(plan)
    plan.shop.pieces.to_h do |piece|
      told = Rhexon::Checks::Catalogue.findings(plan, piece.id).reject { |finding| finding.level == "note" }
      [ piece.id, told.map { |finding| [ finding.level, finding.id ] }.uniq ]
    end
  end

  def followed(shop, plan, done)
    zone = plan.shop.zone
    log = plan.placements.select { |one| one.hands.any? && one.status == "planned" }.flat_map do |one|
      [ { "kind" => "started", "pass" => one.pass.key, "at" => zone.iso(one.hands_start), "person" => one.person },
        { "kind" => "done", "pass" => one.pass.key, "at" => zone.iso(one.public_send(done)),
          **(one.pass.kind == "look" ? { "answer" => "yes" } : {}) } ]
    end
    last = plan.placements.map(&:hands_end).max
    planned({ **shop, "now" => zone.iso(last), "log" => shop["log"].to_a + log })
  end

  def planned(shop) = Rhexon::Search::Planner.plan(Rhexon::Planning::Shop.new(shop))

  def assert_nothing_new(shop)
    plan = planned(shop)
    before = raised(plan)
    %i[work_end hands_end].each do |done|
      raised(followed(shop, plan, done)).each { |id, told| assert_empty told - before.fetch(id), "#{id}, #{done}" }
    end
  end

  EXAMPLES.each do |name|
    define_method("test_#{name.tr("-", "_")}") do
      assert_nothing_new(JSON.parse(File.read(File.expand_path("../../examples/#{name}.json", __dir__))))
    end
  end

  JOBS.each do |job|
    define_method("test_#{job["name"].downcase.gsub(/\W+/, "_")}") { assert_nothing_new(shop_of(job)) }
  end
end
