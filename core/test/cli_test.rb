require "test_helper"
require "open3"
require "tmpdir"
require "planning/plan_checker"

class CLITest < CoreTest
  EXE = File.expand_path("../exe/rhexon", __dir__)
  EXAMPLES = Dir[File.expand_path("../examples/*.json", __dir__)].sort.reject { |file| file.end_with?("/mix.json") }

  # The command in a fork of this process, which has the core loaded.
  # @return [Array(String, String, Process::Status)] as Open3.capture3
  def rhexon(*arguments, input: "")
    Dir.mktmpdir do |folder|
      File.write("#{folder}/in", input)
      _, status = Process.wait2(fork { run_here(arguments, folder) })
      [ File.read("#{folder}/out"), File.read("#{folder}/err"), status ]
    end
  end

  def run_here(arguments, folder)
    $stdin.reopen("#{folder}/in")
    $stdout.reopen("#{folder}/out", "w")
    $stderr.reopen("#{folder}/err", "w")
    ARGV.replace(arguments)
    load EXE
    leave(0)
  rescue SystemExit => ended
    leave(ended.status)
  end

  # Past what minitest does at the end of a process.
  def leave(status)
    [ $stdout, $stderr ].each(&:flush)
    exit!(status)
  end

  def test_the_command_runs_by_itself
    out, errors, status = Open3.capture3(RbConfig.ruby, EXE, "cut", stdin_data: "7")
    assert_equal [ "", 2, 1 ], [ out, status.exitstatus, errors.lines.size ]
  end

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

  def test_colour_difference_predicted_looks_and_board_effects
    output, errors, status = rhexon("colour", "difference",
                                    input: '{"lab1":[50,2.6772,-79.7751],"lab2":[50,0,-82.7485]}')
    assert_predicate status, :success?, errors
    assert_equal({ "ciede2000" => 2.0425, "cie76" => 4.0011 }, JSON.parse(output).slice("ciede2000", "cie76"))
    looks = {
      "wood" => { "species" => "elm" }, "light" => "A",
      "products" => [ { "id" => "w80", "class" => "waterborne_two_part" } ],
      "steps" => [ coat("s1", product: "w80", coats: 2) ]
    }
    stages = JSON.parse(rhexon("colour", "predict", input: JSON.generate(looks)).first)
    assert_equal [ nil, "s1", "s1" ], stages["stages"].map { |stage| stage["step"] }
    assert_equal %w[lab srgb xyz], stages["stages"].last.keys.grep(/lab|xyz|srgb/).sort
    assert_operator stages["stages"].first["lab"][0], :>, stages["stages"].last["lab"][0]
    assert_match(/never a promise/, stages["says"])
    runs = [ [ 0, 3 ], [ 1, 1 ] ].flat_map do |level, value|
      %w[a b].map do |board|
        { "levels" => [ level ], "block" => board, "value" => value + (board == "b" ? 0.2 * level : 0) }
      end
    end
    effects = JSON.parse(
      rhexon(
        "board", "effects",
        input: JSON.generate("measure" => "blotch", "factors" => [ { "name" => "sealer", "levels" => %w[one two] } ],
                             "runs" => runs)
      ).first
    )
    assert_in_delta(-1.9, effects["effects"].first["size"], 1e-9)
  end

  def test_colour_questions_that_cannot_be_answered_say_so
    { %w[colour difference] => [ '{"lab1":[1,2],"lab2":[1,2,3]}', /lab1 is not a colour/ ],
      %w[colour predict] => [ '{"wood":{"species":"brass"}}', /wood "brass" is not known/ ],
      %w[
        board effects
      ] => [ "{}", /need what was varied/ ], %w[colour mix] => [ "{}", /Usage/ ] }.each do |arguments, (input, wanted)|
      _, errors, status = rhexon(*arguments, input: input)
      assert_equal 2, status.exitstatus
      assert_match wanted, errors
    end
  end

  def answer(command, json)
    output, errors, status = rhexon(command, input: JSON.generate(json))
    assert_predicate status, :success?, errors
    JSON.parse(output)
  end

  def test_mix_prints_pours_and_the_correction
    components = [
      { "name" => "base", "parts" => 100, "basis" => "volume", "of" => "base", "density_g_per_ml" => 1.04 },
      {
        "name" => "hardener", "parts" => 10, "basis" => "volume", "of" => "base", "density_g_per_ml" => 1.12,
        "tolerance_percent" => 2
      }
    ]
    mix = answer(
      "mix",
      {
        "components" => components, "want" => { "total_ml" => 500 }, "scale" => { "resolution_g" => 1 },
        "poured" => [ { "name" => "base", "g" => 520 } ]
      }
    )
    assert_equal %w[base hardener], mix["pours"].map { |pour| pour["name"] }
    assert_equal [ 472.727, 454.545, 449.091, 496.364, 472.727 ],
                 mix["pours"][0].values_at("g", "ml", "low_g", "high_g", "running_g")
    # The hardener is 9.72 % by mass at 2 %: 0.5 / 0.02 / 0.0972 = 257 g.
    assert_equal [ 523.636, 500.0, false, 257.143 ],
                 mix.values_at("total_g", "total_ml", "too_small", "smallest_total_g")
    assert_in_delta 1.1, mix.dig("correction", "factor"), 1e-9
    assert_equal({ "name" => "hardener", "add_g" => 56.0, "final_g" => 56.0 }, mix.dig("correction", "pours", 1))
    assert_in_delta 576, mix.dig("correction", "total_g"), 1e-9
  end

  def test_the_mix_example_is_over_poured_and_says_what_to_do
    output, = rhexon("mix", File.expand_path("../examples/mix.json", __dir__))
    correction = JSON.parse(output)["correction"]
    assert_in_delta 1012 / (1000 / 1.15 * 1.04), correction["factor"], 1e-6
    assert_equal %w[top_up accept split discard].sort, correction["options"].map { |option| option["kind"] }.sort
  end

  def test_cut_prints_what_to_add_and_what_to_make
    cut = answer("cut", { "stock" => { "lb_per_gal" => 2 }, "solution_ml" => 250, "to" => { "lb_per_gal" => 0.5 } })
    assert_equal [ 615.831, 0.5775, 49.195 ], cut.values_at("add_spirit_ml", "rule_of_thumb_lb_per_gal", "flake_g")
    assert_equal({ "lb_per_gal" => 0.5, "g_per_l" => 59.913 }, cut["result"])
    made = answer("cut", { "make_ml" => 500, "cut" => { "lb_per_gal" => 2 } })
    assert_equal [ 98.39, 410.554, 500.0 ], made.values_at("flake_g", "spirit_ml", "solution_ml")
  end

  def test_mix_and_cut_refuse_with_one_sentence
    { "mix" => {
        {
          "components" => [ { "name" => "base", "parts" => 100,
                              "density_g_per_ml" => 0 } ], "want" => { "total_ml" => 5 }
        } => /Density is more than 0.*at components/,
        { "components" => [], "want" => {} } => /1 to 12 components/
      },
      "cut" => {
        { "make_ml" => -5, "cut" => { "lb_per_gal" => 2 } } => /more than 0 ml/,
        { "make_ml" => 5, "cut" => { "lb_per_gal" => 2 }, "spirit" => { "water_percent" => 30 } } => /30 % water/,
        { "stock" => {} } => /no question about a cut/
      } }.each do |command, cases|
      cases.each do |json, sentence|
        _, errors, status = rhexon(command, input: JSON.generate(json))
        assert_equal [ 2, 1 ], [ status.exitstatus, errors.lines.size ]
        assert_match sentence, errors
      end
    end
  end

  def test_errors_are_one_sentence_on_standard_error_with_exit_2
    {
      [ "plan", "/no/such.json" ] => /Cannot read/, [ "dance" ] => /Usage/, [ "plan" ] => /not JSON/
    }.each do |arguments, sentence|
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
      assert_nil Rhexon::Schema.check!("rhexon-shop-1", shop)
      shop["pieces"].each { |piece| assert_nil Rhexon::Schema.check!("rhexon-schedule-2", piece["schedule"]) }
    end
  end
end
