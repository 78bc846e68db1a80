require "coverage"
require "fileutils"
require "minitest"

# Which lines the tests ran, each counted once so that nothing gets slower; written to the file that RHEXON_COVERAGE
# names, where it names one, and never a gate. Worker processes leave what they saw for the one that writes.
module LineCoverage
  module_function

  # Before what is measured is loaded.
  # @param root [String] folder whose Ruby files count
  # @param store [String] folder for what workers leave
  def start(root, store)
    return unless ENV["RHEXON_COVERAGE"]

    @root = root
    @store = store
    @owner = Process.pid
    FileUtils.rm_rf(store)
    Coverage.start(oneshot_lines: true)
    Minitest.after_run { write_share if Process.pid == @owner }
  end

  # What a worker saw.
  def leave
    return unless @store

    FileUtils.mkdir_p(@store)
    File.binwrite(File.join(@store, "#{Process.pid}.seen"), Marshal.dump(seen))
  end

  # @return [Hash{String=>Array<Integer>}] lines that ran, by file
  def seen
    Coverage.peek_result
      .select { |file, _| file.start_with?(@root) }
      .transform_values { |result| result[:oneshot_lines] }
  end

  def write_share
    all = Dir[File.join(@store, "*.seen")].map { |file| Marshal.load(File.binread(file)) } << seen
    ran = all.reduce { |one, other| one.merge(other) { |_, mine, theirs| mine | theirs } }
    lines = Dir[File.join(@root, "**/*.rb")].to_h { |file| [ file, code_lines(file) ] }
    least = lines.keys.reject { |file| lines[file].empty? }
      .min_by(5) { |file| share(ran, lines, [ file ]) }
      .map { |file| format("%s %d %%", file.delete_prefix("#{@root}/"), share(ran, lines, [ file ])) }
    told = format("%s: %.1f %% of its lines. Least: %s", File.basename(File.dirname(@root)),
                  share(ran, lines, lines.keys), least.join(", "))
    File.write(ENV.fetch("RHEXON_COVERAGE"), "#{told}\n", mode: "a")
  end

  # @return [Array<Integer>] numbers of the lines that can run
  def code_lines(file) = Coverage.line_stub(file).each_with_index.filter_map { |count, at| at + 1 if count }

  def share(ran, lines, files)
    seen = files.sum { |file| (ran.fetch(file, []) & lines[file]).size }
    100.0 * seen / [ files.sum { |file| lines[file].size }, 1 ].max
  end
  private_class_method :seen, :write_share, :code_lines, :share
end
