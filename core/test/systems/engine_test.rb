require "test_helper"
require_relative "../good/workshop"

# Forty wishes: what a knowing finisher would choose among is in the first three, and what he would never offer is not
# offered at all.
class EngineTest < CoreTest
  include Workshop

  WISHES = YAML.safe_load_file(File.join(__dir__, "wishes.yml")).freeze
  GEAR = { "hand" => %w[brush wipe pad roller], "spray" => %w[brush wipe pad roller spray] }.freeze

  def asked(wish)
    due = wish["due_days"] && "#{(Date.new(2026, 11, 22) + wish["due_days"]).iso8601}T16:30+01:00"
    made = { "sheen" => wish["sheen"], "pores" => wish["pores"], "opaque" => wish["opaque"], "pale" => wish["pale"],
             "gear" => GEAR.fetch(wish["gear"]), "odour" => wish["odour"], "skill" => wish["skill"],
             "repair" => wish["repair"], "due" => due }.compact
    own = piece({}, wood: wish["grain"]).merge(wish.slice("wood", "use"))
    own["faces"].first["found"] = wish["found"] if wish["found"]
    shop = Rhexon::Planning::Shop.new(shop_json(own, products: products))
    Rhexon::Systems::Engine.new(shop, "top", made).answer
  end

  # @return [Hash{String=>Engine::Answer}]
  def self.answers = @answers ||= {}

  def answer_to(wish) = self.class.answers[wish["name"]] ||= asked(wish)

  # Of forty at least 36: what is missed stands in the message.
  def test_what_a_knowing_finisher_would_choose_is_among_the_first_three
    missed = WISHES.reject { |wish| answer_to(wish).proposals.first(3).map(&:id).intersect?(wish["knowing"]) }
    assert_equal 40, WISHES.size
    assert_operator missed.size, :<=, 4, missed.map { |wish| wish["name"] }.inspect
  end

  def test_what_he_would_never_offer_is_not_offered
    wrong = WISHES.to_h { |wish| [ wish["name"], answer_to(wish).proposals.map(&:id) & wish["never"] ] }
    assert_empty wrong.reject { |_, ids| ids.empty? }
  end

  def test_no_proposal_has_a_stop_and_each_has_a_date_and_enough_film
    WISHES.each do |wish|
      answer_to(wish).proposals.each do |proposal|
        assert proposal.ready_at, "#{wish["name"]} #{proposal.id}"
        told = proposal.findings.map(&:id) - %w[time.due film.balance]
        assert_empty told, "#{wish["name"]} #{proposal.id}"
      end
    end
  end

  def test_every_system_is_proposed_or_says_why_not
    WISHES.each do |wish|
      answer = answer_to(wish)
      assert_equal Rhexon::Systems::System.all.map(&:id).sort,
                   (answer.proposals.map(&:id) + answer.fallen.map { |one| one.system.id }).sort, wish["name"]
      assert answer.fallen.all? { |one| one.reason.length.between?(3, 90) }, answer.fallen.map(&:reason).inspect
      assert_operator answer.proposals.size, :<=, 6
    end
  end

  def test_the_same_wish_has_the_same_answer
    wish = WISHES[3]
    seen = ->(answer) { answer.proposals.map { |one| [ one.id, one.document, one.ready_at, one.hands_min ] } }
    assert_equal seen.(asked(wish)), seen.(asked(wish))
  end
end
