require "coverage"
require "simplecov"

# Lines that the tests ran, by SimpleCov. Each part of a run leaves what it saw in the folder that RHEXON_COVERAGE
# names; script/test_summary puts them together. A line is counted once: counting each run makes the planner half as
# slow again.
module OnceCounted
  def result(**)
    super.to_h do |file, seen|
      lines = File.exist?(file) ? Coverage.line_stub(file) : []
      seen.fetch(:oneshot_lines).each { |number| lines[number - 1] = 1 }
      [ file, { lines: lines } ]
    end
  end
end

if ENV["RHEXON_COVERAGE"]
  Coverage.singleton_class.prepend(OnceCounted)
  Coverage.start(oneshot_lines: true)
  SimpleCov.start do
    root File.expand_path("../..", __dir__)
    coverage_dir ENV.fetch("RHEXON_COVERAGE")
    command_name File.basename(coverage_dir)
    track_files File.join(root, "{app,lib,devices,core/lib}/**/*.rb")
    add_filter { |source| !source.project_filename.match?(%r{\A/(app|lib|devices|core/lib)/}) }
  end
  SimpleCov.at_exit { SimpleCov.result }
end
