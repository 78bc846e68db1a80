require "json"
require "yaml"

module Rhexon
  # The figures the core ships with, read once from core/data into frozen values: one method a file
  # (Reference.film.coat_sd). What its schema in core/schema/data names is a member; what is listed by key (by method,
  # by class) is a Hash; records in lists are Hashes. Every file carries its source, or "estimate".
  module Reference
    DATA = File.expand_path("../../data", __dir__)
    SCHEMAS = File.expand_path("../../schema/data", __dir__)

    @lock = Mutex.new
    @tables = {}

    class << self
      # @param name [String] file in core/data without its ending
      # @return [Struct] deeply frozen
      def table(name)
        @tables[name] || @lock.synchronize { @tables[name] ||= typed(schema(name), data(name)) }
      end

      # @return [Hash] JSON Schema of a file
      def schema(name) = JSON.parse(File.read(File.join(SCHEMAS, "#{name}.json")))

      # @return [Hash] a file as it is written
      def data(name) = YAML.safe_load_file(File.join(DATA, "#{name}.yml"), aliases: true)

      # @return [Object] the same, with all that is in it frozen
      def freeze_deep(value)
        case value
        when Hash then value.each_value { |inner| freeze_deep(inner) }
        when Array then value.each { |inner| freeze_deep(inner) }
        end
        value.freeze
      end

      private

      def typed(schema, value)
        members = schema["properties"]
        return freeze_deep(value) unless members && value.is_a?(Hash)

        struct(members.keys).new(**members.to_h { |name, inner| [ name.to_sym, typed(inner, value[name]) ] }).freeze
      end

      def struct(names) = Struct.new(*names.map(&:to_sym), keyword_init: true)
    end

    Dir[File.join(DATA, "*.yml")].each do |file|
      name = File.basename(file, ".yml")
      define_singleton_method(name) { table(name) }
    end
  end
end
