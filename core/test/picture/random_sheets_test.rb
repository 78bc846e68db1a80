require "test_helper"
require "planning/random_shops"

# Whatever the schedule, the picture agrees with the plan and the film, and every remedy can be applied.
class RandomSheetsTest < CoreTest
  include RandomShops

  SHOPS = 60

  def each_sheet(&block) = (@@sheets ||= sheets).each(&block)

  # Made once: the tests only look at them.
  def sheets
    TestShare.of("random sheets", SHOPS, most_parts: 5).flat_map do |seed|
      shop = random_shop(Random.new(5000 + seed))
      plan = Rhexon::Search::Planner.plan(
        Rhexon::Planning::Shop.new(
          shop.merge("pieces" => shop["pieces"].map { |piece|
            piece.merge("use" => "furniture", "due" => "2026-04-20T12:00+02:00")
          })
        )
      )
      plan.shop.pieces.map { |piece| [ Rhexon::Picture::Sheet.new(plan, piece.id), plan, seed ] }
    end
  end

  def test_the_drawn_film_is_the_reckoned_film
    each_sheet do |sheet, plan, seed|
      section = sheet.section
      final = plan.film(sheet.piece_id, section.face).final
      assert_equal final.layers.size, section.layers.size, "seed #{seed}"
      section.layers.each_with_index do |layer, index|
        times = layer.top.map(&:first)
        assert_equal times.uniq.sort, times, "seed #{seed} #{layer.pass}: times rise"
        assert_in_delta final.layers.first(index + 1).sum(&:um), layer.top.last.last, 0.2,
                        "seed #{seed} #{layer.pass}: ends at what is left"
      end
    end
  end

  def test_strips_follow_on_and_end_before_the_next_coat_or_thin
    each_sheet do |sheet, _, seed|
      (sheet.section.layers + sheet.section.stains).each do |laid|
        plain = laid.strip.reject { |stretch| stretch.state == "scuffed" }
        assert(plain.all? { |stretch| stretch.from < stretch.to }, "seed #{seed}")
        plain.each_cons(2) { |one, two| assert_equal one.to, two.from, "seed #{seed} #{laid.pass}" }
        assert_includes [ nil, "too_soon", "open", "shut" ], plain.first&.state
      end
    end
  end

  def test_rows_explain_their_waits_to_the_minute
    each_sheet do |sheet, _, seed|
      sheet.rows.flat_map { |row| [ *row.waits, row.drying ].compact }.each do |ledger|
        assert_equal ledger.reached_at - ledger.from, ledger.rows.sum(&:last), "seed #{seed} #{ledger.milestone}"
        refute_empty ledger.source
      end
      assert_equal sheet.hands_min, sheet.rows.sum(&:hands_min), "seed #{seed}"
    end
  end

  def test_every_remedy_is_a_legal_edit_and_can_be_planned
    applied = Hash.new(0)
    each_sheet do |sheet, plan, seed|
      sheet.findings
        .flat_map { |finding| finding.remedies.select(&:operation).map { |remedy| [ finding, remedy ] } }
        .each do |finding, remedy|
          document = Rhexon::Schedule::Edit.apply(sheet.document, remedy.operation)
          refute_equal sheet.document, document, "seed #{seed} #{finding.id}: #{remedy.label} changes something"
          applied[finding.id] += 1
          next unless applied[finding.id] <= 4

          assert_kind_of Rhexon::Planning::Plan, plan.with_schedule(sheet.piece_id, document)
        end
    end
    assert_operator applied.size, :>=, TestShare.full? ? 5 : 1, "the shops raise many kinds of finding: #{applied}"
  end

  def test_findings_name_steps_that_are_there_and_speak_in_sentences
    each_sheet do |sheet, _, seed|
      ids = sheet.document["steps"].map { |step| step["id"] }
      sheet.findings.each do |finding|
        assert_includes [ nil, *ids ], finding.step, "seed #{seed}"
        assert_includes Rhexon::Checks::Catalogue::LEVELS, finding.level
        assert_match(/\A[A-Z0-9].*\.\z/, finding.sentence, "seed #{seed} #{finding.id}")
        refute_match(/\bnil\b|NaN|Infinity|#</, finding.sentence + finding.title)
      end
    end
  end

  def test_the_bench_never_offers_work_that_is_too_soon
    each_sheet do |_, plan, seed|
      bench = Rhexon::Picture::Bench.new(plan)
      bench.upcoming.each do |row|
        assert_operator row.work_start, :>=, row.waits.map(&:reached_at).max || 0, "seed #{seed} #{row.key}"
      end
    end
  end
end
