require "test_helper"
require "json_schemer"

# The figures the core ships with: each file to its schema, read into frozen values.
class ReferenceTest < CoreTest
  Reference = Rhexon::Reference
  NAMES = Dir[File.join(Reference::DATA, "*.yml")].map { |file| File.basename(file, ".yml") }.sort.freeze

  def schema(name) = JSONSchemer.schema(Reference.schema(name))
  # As JSON has it: grit numbers are keys, and keys are strings.
  def data(name) = JSON.parse(JSON.generate(Reference.data(name)))

  NAMES.each do |name|
    define_method(:"test_#{name}_is_what_its_schema_says") do
      assert_empty schema(name).validate(data(name)).map { |error| "#{error["data_pointer"]} #{error["type"]}" }
    end
  end

  def test_every_schema_has_its_file
    assert_equal NAMES, Dir[File.join(Reference::SCHEMAS, "*.json")].map { |file| File.basename(file, ".json") }.sort
  end

  # A share of more than one, a figure that nobody reads, a method that does not exist, a source left out.
  def test_a_slip_is_refused
    film = data("film")
    [ film.merge("absorption" => { "open" => [ 1.4, 0.75, 1.0 ] }), film.merge("coat_ds" => 0.1),
      film.merge("texture_um" => { "spry" => 12 }), film.except("source") ].each do |wrong|
      refute schema("film").valid?(wrong)
    end
    assert schema("film").valid?(film)
  end

  def test_values_are_members_lists_by_key_are_hashes_and_nothing_changes
    assert_equal [ 0.10, 12, 0.6 ],
                 [ Reference.film.coat_sd, Reference.film.texture_um.fetch("spray"), Reference.film.sand_through.stop ]
    assert_raises(NoMethodError) { Reference.film.coat_ds }
    assert_raises(FrozenError) { Reference.film.texture_um["spray"] = 1 }
    assert_raises(FrozenError) { Reference.film.coat_sd = 1 }
    assert_same Reference.film, Reference.table("film")
  end

  def test_every_file_names_its_source
    assert_equal %w[figures], NAMES.reject { |name| Reference.data(name).key?("source") },
                 "what a product record holds is no figure"
  end
end
