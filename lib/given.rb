# What a request may carry, by name and type: the one place of a resource where that is said. What has another type is
# refused with a sentence, what is not named is left out. Every field may be missing or null; what is needed is said
# where it is used.
class Given
  ID, NAME, WORDS = 120, 200, 2_000
  # Whole numbers that any language on the way can hold.
  WHOLE = (-(2**53)..2**53)

  # Type => what it must be, and the same in words.
  TYPES = {
    id: [ ->(value) { text?(value, ID) }, "a text of up to #{ID} letters" ],
    name: [ ->(value) { text?(value, NAME) }, "a text of up to #{NAME} letters" ],
    words: [ ->(value) { text?(value, WORDS) }, "a text of up to #{WORDS} letters" ],
    typed: [ ->(value) { number?(value) || text?(value, NAME) }, "a number or a text of up to #{NAME} letters" ],
    whole: [ ->(value) { value.is_a?(Integer) && WHOLE.cover?(value) }, "a whole number" ],
    number: [ ->(value) { number?(value) }, "a number" ],
    flag: [ ->(value) { [ true, false ].include?(value) }, "yes or no" ],
    list: [ ->(value) { value.is_a?(Array) }, "a list" ],
    names: [ ->(value) { value.is_a?(Array) && value.all? { |inner| text?(inner, NAME) } }, "a list of texts" ],
    table: [ ->(value) { value.is_a?(Hash) }, "fields with their values" ],
    file: [ ->(value) { value.respond_to?(:read) && value.respond_to?(:original_filename) }, "a file" ],
    any: [ ->(_) { true }, "anything" ]
  }.freeze

  class << self
    # @param values [Hash] as it came
    # @param shape [Hash{Symbol=>Symbol}] name => type
    # @return [Hash{String=>Object}] what is permitted
    # @raise [Rhexon::InvalidInput] names the first field that has another type
    def read(values, shape)
      values.slice(*shape.keys.map(&:to_s)).each do |name, value|
        fits, accepted = TYPES.fetch(shape.fetch(name.to_sym))
        Rhexon.refuse_unless(
          value.nil? || fits.call(value), "#{name.tr("_", " ").capitalize} cannot be #{value.inspect.truncate(60)}",
          where: name, accepted: accepted
        )
      end
    end

    def text?(value, most) = value.is_a?(String) && value.length <= most && value.exclude?("\0")
    def number?(value) = value.is_a?(Numeric) && value.finite? && value.abs <= 1e15
  end
end
