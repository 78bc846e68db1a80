require "yaml"

module Rhexon
  # The figures the core ships with, read once from core/data and frozen.
  # Every entry carries its source, or "estimate".
  module Reference
    FOLDER = File.expand_path("../../data", __dir__)

    @tables = {}

    module_function

    # @param name [String] file in core/data without its ending
    # @return [Hash{String=>Object}] deeply frozen
    def table(name)
      @tables[name] ||= freeze_deep(YAML.safe_load_file(File.join(FOLDER, "#{name}.yml"), aliases: true))
    end

    def freeze_deep(value)
      case value
      when Hash then value.each_value { |inner| freeze_deep(inner) }
      when Array then value.each { |inner| freeze_deep(inner) }
      end
      value.freeze
    end
  end
end
