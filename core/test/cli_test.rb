require "test_helper"
require "open3"
require "planning/plan_checker"

class CLITest < CoreTest
  EXE = File.expand_path("../exe/rhexon", __dir__)
  EXAMPLES = Dir[File.expand_path("../examples/*.json", __dir__)].sort

  def rhexon(*arguments, input: "") = Open3.capture3(RbConfig.ruby, EXE, *arguments, stdin_data: input)

  def test_plan_prints_a_plan_that_the_checker_accepts
    assert_operator EXAMPLES.size, :>=, 3
    EXAMPLES.each do |file|
      output, errors, status = rhexon("plan", file)
      assert_predicate status, :success?, errors
      plan = JSON.parse(output)
      assert_equal "rhexon-plan/1", plan["format"]
      assert_empty PlanChecker.new(JSON.parse(File.read(file)), plan).faults, file
    end
  end

  def test_check_prints_findings_from_standard_input
    output, _, status = rhexon("check", input: File.read(EXAMPLES.find { |file| file.end_with?("troubles.json") }))
    assert_predicate status, :success?
    ids = JSON.parse(output)["pieces"].first["findings"].map { |finding| finding["id"] }
    assert_includes ids, "bond.waxy_shellac"
    assert_includes ids, "time.due"
  end

  def test_errors_are_one_sentence_on_standard_error_with_exit_2
    { [ "plan", "/no/such.json" ] => /Cannot read/, [ "dance" ] => /Usage/, [ "plan" ] => /not JSON/ }.each do |arguments, sentence|
      output, errors, status = rhexon(*arguments, input: "{")
      assert_equal [ "", 2, 1 ], [ output, status.exitstatus, errors.lines.size ]
      assert_match sentence, errors
    end
    _, errors, status = rhexon("plan", input: JSON.generate(shop_json(piece(document(coat("s1", product: "nope"))))))
    assert_equal 2, status.exitstatus
    assert_match(%r{product that is not there: nope.*at pieces/top/steps/s1/product}, errors)
  end

  def test_the_published_schemas_accept_the_examples
    EXAMPLES.each do |file|
      shop = JSON.parse(File.read(file))
      assert_nil Rhexon::Schedule::Schema.check!("rhexon-shop-1", shop)
      shop["pieces"].each { |piece| assert_nil Rhexon::Schedule::Schema.check!("rhexon-schedule-1", piece["schedule"]) }
    end
  end
end
