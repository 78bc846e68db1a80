# What a run of the tests came to: seconds by part, the ten slowest tests, and the lines that tests ran, which may not
# fall.
require "json"
require "simplecov"

# Of the lines of app, lib, devices and core. The pages' own stands in vitest.config.ts.
LEAST_LINES_PERCENT = 97

parts = Dir["tmp/tests/*.seconds"].map { |file| File.read(file).split }.sort_by { |seconds, _| -seconds.to_i }
puts "\nSeconds by part: #{parts.map { |seconds, part| "#{part} #{seconds}" }.join(", ")}"

slow = Dir["tmp/tests/*.log"].flat_map { |file| File.readlines(file) }.filter_map do |line|
  case line.scrub
  when /\A(\S+#\S+) = ([\d.]+) s = / then [ $2.to_f, $1 ]
  when /✓ (test.*?) (\d+)ms/ then [ $2.to_f / 1000, $1 ]
  end
end
puts "\nSlowest tests"
slow.max_by(10, &:first).each { |seconds, test| puts format("%7.1f s  %s", seconds, test) }
exit if ARGV.any?

puts
SimpleCov.collate(Dir["tmp/coverage/*/.resultset.json"]) do
  root Dir.pwd
  coverage_dir "tmp/coverage"
  minimum_coverage LEAST_LINES_PERCENT
end
