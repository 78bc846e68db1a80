# What the build made of the pages: the files that a device keeps to work without the shop's computer. Those of builds
# before it stay where they are, for pages that are still open.
module BuiltPages
  WORKER = "entrypoints/service-worker.ts".freeze

  class << self
    # @return [Array<String>] addresses of scripts, styles, letters and pictures
    def files
      @files ||= manifest.except(WORKER).values
        .flat_map { |entry| [ entry["file"], *entry["css"], *entry["assets"] ] }
        .uniq.sort.map { |file| address(file) }
    end

    # @return [String, nil] address of the worker's script; nil where nothing was built
    def worker = manifest[WORKER]&.then { |entry| address(entry["file"]) }

    private

    def root = Rails.root.join("public", ViteRuby.config.public_output_dir)
    def address(file) = "/#{ViteRuby.config.public_output_dir}/#{file}"
    def manifest
      @manifest ||= root.join(".vite/manifest.json").then { |path| path.exist? ? JSON.parse(path.read) : {} }
    end
  end
end
