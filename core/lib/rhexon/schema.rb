require "json"
require "json_schemer"

module Rhexon
  # The published JSON Schemas of the formats, and their verdicts as one sentence.
  module Schema
    FOLDER = File.expand_path("../../schema", __dir__)

    @schemas = {}
    @records = {}
    # Records known to be sound.
    @sound = Cache.new(5000)
    # Lists of which all are, by what they are lists of.
    @whole = ObjectSpace::WeakMap.new

    module_function

    # @param name [String] "rhexon-schedule-2" or "rhexon-shop-1"
    # @param value [Object] parsed JSON
    # @return [nil]
    # @raise [InvalidInput] with the first thing that is wrong, where it stands and what is accepted
    def check!(name, value)
      errors = schema(name).validate(value).first(20)
      return if errors.empty?

      error = errors.max_by { |candidate| [ candidate["data_pointer"].count("/"), said(candidate) ? 1 : 0 ] }
      raise InvalidInput.new(sentence(error), where: error["data_pointer"].delete_prefix("/"))
    end

    # The same for a value that comes again and again with most of the records in its lists unchanged: those found
    # sound lately are not looked at again.
    # @raise [InvalidInput]
    def check_changed!(name, value)
      lists, rest = value.partition { |_, list| records?(list) }.map(&:to_h)
      fresh = lists.to_h { |key, list| [ key, fresh(name, key, list) ] }
      around = [ name, lists.keys, rest.except("now"), Zone.written?(rest["now"]) ]
      return if fresh.each_value.all?(&:empty?) && @sound.key?(around)

      begin
        check!(name, rest.merge(stand_ins(lists, fresh)))
      rescue InvalidInput
        check!(name, value) # for the place where it stands in the whole
      end
      lists.each { |key, list| sound!(name, key, list) }
      @sound.fetch(around) { true }
      nil
    end

    # The first record stands for a list of which all are known to be sound.
    def stand_ins(lists, fresh) = lists.to_h { |key, list| [ key, fresh[key].empty? ? list.first(1) : fresh[key] ] }
    private_class_method :stand_ins

    # A list that cannot change is known as a whole.
    def sound!(name, key, records)
      return if @whole[records] == key.to_sym

      records.each { |record| @sound.fetch([ name, key, record ]) { true } }
      @whole[records] = key.to_sym if records.frozen?
    end
    private_class_method :sound!

    # @return [Array<Hash>] those that are not known to be sound
    def fresh(name, key, records)
      @whole[records] == key.to_sym ? [] : records.reject { |record| @sound.key?([ name, key, record ]) }
    end
    private_class_method :fresh

    def records?(list) = list.is_a?(Array) && list.any? && list.all?(Hash)
    private_class_method :records?

    # One record of rhexon-shop/1 by itself.
    # @param list [String] it stands in, "products"
    # @raise [InvalidInput]
    def check_record!(list, record) = check_part!("properties/#{list}/items", record)

    # A part of rhexon-shop/1 by itself.
    # @param path [String] in its schema, "$defs/found"
    # @raise [InvalidInput]
    def check_part!(path, value)
      @records[path] ||= JSONSchemer.schema({ "$ref" => "rhexon-shop-1#/#{path}" },
                                            ref_resolver: method(:sibling).to_proc,
                                            base_uri: URI("json-schemer://schema"))
      errors = @records[path].validate(value).first(20)
      error = errors.max_by { |candidate| [ candidate["data_pointer"].count("/"), said(candidate) ? 1 : 0 ] } or return
      raise InvalidInput.new(sentence(error), where: error["data_pointer"].delete_prefix("/"))
    end

    def schema(name)
      @schemas[name] ||= JSONSchemer.schema(JSON.parse(File.read(File.join(FOLDER, "#{name}.json"))),
                                            ref_resolver: method(:sibling).to_proc)
    end

    def sibling(uri)
      JSON.parse(File.read(File.join(FOLDER, "#{File.basename(uri.path.to_s)}.json")))
    end

    # @return [String, nil] the schema's own sentence
    def said(error) = error["schema"].is_a?(Hash) ? error["schema"]["x-error"] : nil

    def sentence(error)
      return said(error) if said(error)

      case error["type"]
      when "required" then "#{place(error)} lacks #{error.dig("details", "missing_keys").join(", ")}."
      when "schema" then "#{place(error)} is not known here."
      else "#{error["error"].sub(/\A(value|string|number|array|object) at (`[^`]*`|root)/) { "#{place(error)}" }}."
      end
    end
    private_class_method :sentence

    def place(error)
      pointer = error["data_pointer"].delete_prefix("/")
      pointer.empty? ? "The document" : "'#{pointer}'"
    end
    private_class_method :place
  end
end
