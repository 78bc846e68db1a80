require "test_helper"
require "open3"

# What README, CONTRIBUTING and bench/README tell people to type works in a new shell, with nothing in its environment.
class CommandsTest < ActiveSupport::TestCase
  ROOT = Rails.root.to_s
  DOCS = %w[README.md CONTRIBUTING.md bench/README.md docs/RUNNING.md].freeze

  def fresh(command, dir: ROOT)
    Open3.capture2e({ "PATH" => ENV.fetch("PATH"), "HOME" => ENV.fetch("HOME", "/root"), "LANG" => "C.UTF-8" }, "bash",
                    "-c", command, chdir: dir, unsetenv_others: true)
  end

  def assert_runs(command, **options)
    out, status = fresh(command, **options)
    assert_predicate status, :success?, "#{command}: #{out.last(600)}"
    out
  end

  # Files named in code spans and blocks.
  def named
    DOCS.flat_map { |doc|
      Rails.root
      .join(doc).read
      .scan(%r{(?<![\w/])((?:bin|script|bench|core/examples)/[\w./-]+\w)}).flatten
    }.uniq
  end

  test "every command and file that the docs name is there, and commands can be run" do
    assert_operator named.size, :>, 12
    named.each { |file| assert_path_exists Rails.root.join(file), file }
    named.select { |file| file.match?(%r{\A(bin|script)/\w+\z}) }.each do |file|
      assert Rails.root.join(file).executable?, file
    end
  end

  test "what is locked is told without asking anybody" do
    told = assert_runs("bin/versions --offline")
    assert_match(/^gem  rails +#{Regexp.escape(Rails.version)}$/, told)
    assert_match(/^npm  react +\d+\.\d+\.\d+$/, told)
    assert_match(/The registries were not asked\.\Z/, told)
  end

  test "gems are found by bundler, rails, the benches and the core" do
    assert_runs "ruby -W0 -e 'require \"bundler/setup\"; require \"rails\"; require \"selenium-webdriver\"'"
    assert_runs "ruby -W0 -e 'require \"bundler/setup\"; require \"json_schemer\"'", dir: File.join(ROOT, "core")
    assert_match(/\A7\.2/, assert_runs("RAILS_ENV=test bin/rails runner 'print Rails.version'").lines.last)
    Dir[File.join(ROOT, "bench/*.rb")].each { |file| assert_runs "ruby -W0 -c #{file}" }
    assert_runs "ruby -W0 -c script/screenshots"
    %w[demo test dev setup start].each { |name| assert_runs "bash -n bin/#{name}" }
  end

  test "the README's examples from a shell" do
    examples = Rails.root.join("README.md").read[/## From a shell.*?```\n(.*?)```/m, 1].lines.map(&:strip)
    assert_operator examples.size, :>=, 7
    examples.each { |line| assert_kind_of Hash, JSON.parse(assert_runs(line)), line }
  end
end
