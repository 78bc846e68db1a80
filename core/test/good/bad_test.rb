require "test_helper"
require_relative "workshop"

# Ordinary jobs with one fault each: exactly that one is told, and not buried under others.
class BadTest < CoreTest
  include Workshop

  WEIGHTS = { "stop" => 1e6, "caution" => 1e3, "note" => 1 }.freeze
  JOBS = Workshop.jobs("bad.yml").freeze

  def test_there_are_forty
    assert_operator JOBS.size, :>=, 40
  end

  # Applied and planned again it is gone or told more softly, nothing is stopped that was not, and there is a date.
  def mends(plan, job, remedy)
    after = plan.with_schedule("top", Rhexon::Schedule::Edit.apply(document_of(plan), remedy.operation))
    assert_empty stops(after) - stops(plan), remedy.label
    assert_operator weight(after, job), :<, weight(plan, job), remedy.label
    assert after.build.ready["top"], remedy.label
  end

  def stops(plan) = Rhexon::Checks::Catalogue.findings(plan, "top").select { |one| one.level == "stop" }.map(&:id)

  # How grave its own finding is, and how much of it there is.
  def weight(plan, job)
    findings(plan, job["raises"]).sum { |one| WEIGHTS.fetch(one.level) + size(one) }
  end

  # What is late is late by so much.
  def size(finding) = finding.figures.fetch(:late_min, 0) / 1e3

  JOBS.each do |job|
    define_method("test_#{job["name"].downcase.gsub(/\W+/, "_")}") do
      plan = made(job)
      assert_equal [ job["raises"] ], told(plan)
      findings(plan, job["raises"]).flat_map(&:remedies).select(&:operation).each { |remedy| mends(plan, job, remedy) }
    end
  end
end
