require "test_helper"
require_relative "workshop"

# Ordinary jobs of many schools: nothing above a note, and each has a date.
class GoodTest < CoreTest
  include Workshop

  JOBS = Workshop.jobs("good.yml").freeze

  def test_there_are_forty
    assert_operator JOBS.size, :>=, 40
  end

  JOBS.each do |job|
    define_method("test_#{job["name"].downcase.gsub(/\W+/, "_")}") do
      plan = made(job)
      assert_empty plan.build.blocked
      assert_empty told(plan)
    end
  end
end
