require "test_helper"

# The gate at which each field of a request is held to its type, with all junk for each type.
class GivenTest < ActiveSupport::TestCase
  LONG = "x" * 2_001
  # Type => what it lets in of all below.
  LETS_IN = {
    id: [ "", "x" ], name: [ "", "x" ], words: [ "", "x", "x" * 121, "x" * 201 ], typed: [ "", "x", 0, -1, 1.5, 1e15 ],
    whole: [ 0, -1 ], number: [ 0, -1, 1.5, 1e15 ], flag: [ true, false ],
    list: [ [], [ 1 ], [ "x" ], [ nil ], [ LONG ] ],
    names: [ [], [ "x" ] ], table: [ {}, { "a" => 1 } ], file: []
  }.freeze
  ALL = [ "", "x", "x" * 121, "x" * 201, LONG, "a\0b", 0, -1, 1.5, 1e15, 1e16, 2**60, Float::NAN, Float::INFINITY, true,
          false, [], [ 1 ], [ "x" ], [ nil ], [ LONG ], {}, { "a" => 1 } ].freeze
  # Typed, names and ids have bounds of their own.
  BOUNDS = { name: [ "x" * 121 ], typed: [ "x" * 121 ] }.freeze

  test "each type lets in what it says, and refuses all else in words" do
    assert_equal Given::TYPES.keys - [ :any ], LETS_IN.keys
    LETS_IN.each do |type, good|
      fits = good + BOUNDS.fetch(type, [])
      ALL.each do |value|
        told = "#{type} #{value.inspect.truncate(40)}"
        if fits.include?(value)
          assert_equal({ "field" => value }, Given.read({ "field" => value }, { field: type }), told)
        else
          refusal = assert_raises(Rhexon::InvalidInput, told) { Given.read({ "field" => value }, { field: type }) }
          assert_match(/\AField cannot be /, refusal.message, told)
          assert_equal "field", refusal.where
        end
      end
    end
  end

  test "nothing is a value, and what is not named is left out" do
    Given::TYPES.each_key { |type| assert_equal({ "a" => nil }, Given.read({ "a" => nil, "b" => 1 }, { a: type })) }
    assert_equal({}, Given.read({ "b" => 1 }, { a: :whole }))
    assert_equal({ "a" => LONG }, Given.read({ "a" => LONG }, { a: :any }))
  end

  test "a file is what can be read and has a name" do
    file = Rack::Test::UploadedFile.new(StringIO.new("x"), "text/plain", original_filename: "f.txt")
    assert_equal({ "file" => file }, Given.read({ "file" => file }, { file: :file }))
  end
end
