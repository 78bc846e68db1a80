require "test_helper"

class EditTest < CoreTest
  Edit = Rhexon::Schedule::Edit

  def base
    Rhexon::Schedule::Document.check!(document(
      step("s1", "sand", grits: %w[P150 P180]), step("s2", "stain", product: "russet", method: "wipe"),
      coat("s3", coats: 4, pins: [ { "coat" => 3, "start" => "2026-11-25T10:30+01:00" } ]),
      step("s4", "wait", minutes: 60)
    ))
  end

  def ids(found) = found["steps"].map { |step| step["id"] }

  def apply(operation, to = base) = Edit.apply(to, operation)

  def test_add_at_the_beginning_and_after_a_step
    look = step("s9", "look")
    assert_equal %w[s9 s1 s2 s3 s4], ids(apply({ "op" => "add_step", "after" => nil, "step" => look }))
    assert_equal %w[s1 s2 s9 s3 s4], ids(apply({ "op" => "add_step", "after" => "s2", "step" => look }))
  end

  def test_move_and_remove
    assert_equal %w[s1 s3 s2 s4], ids(apply({ "op" => "move_step", "id" => "s2", "after" => "s3" }))
    assert_equal %w[s4 s1 s2 s3], ids(apply({ "op" => "move_step", "id" => "s4", "after" => nil }))
    assert_equal %w[s1 s3 s4], ids(apply({ "op" => "remove_step", "id" => "s2" }))
  end

  def test_change_sets_and_takes_away
    assert_equal 90, apply({ "op" => "change_step", "id" => "s3", "set" => { "wet_um" => 90 } })["steps"][2]["wet_um"]
    refute apply({ "op" => "change_step", "id" => "s3", "set" => { "pins" => nil } })["steps"][2].key?("pins")
  end

  def test_split_keeps_every_coat_and_carries_the_pin_along
    split = apply({ "op" => "split_coats", "id" => "s3", "keep" => 2, "new_id" => "s7" })
    assert_equal [ 2, 2 ], split["steps"].values_at(2, 3).map { |step| step["coats"] }
    assert_equal [ { "coat" => 1, "start" => "2026-11-25T10:30+01:00" } ], split["steps"][3]["pins"]
    refute split["steps"][2].key?("pins")
  end

  def test_fewer_coats_drop_the_pins_of_those_that_went
    refute apply({ "op" => "change_step", "id" => "s3", "set" => { "coats" => 2 } })["steps"][2].key?("pins")
  end

  def test_pin_and_unpin
    pinned = apply({ "op" => "pin", "id" => "s3", "coat" => 1, "start" => "2026-11-24T09:00+01:00" })
    assert_equal [ 1, 3 ], pinned["steps"][2]["pins"].map { |pin| pin["coat"] }
    assert_equal base, apply({ "op" => "pin", "id" => "s3", "coat" => 1, "start" => nil }, pinned)
  end

  def test_several_operations_are_one_edit
    both = {
      "op" => "all",
      "operations" => [ { "op" => "remove_step", "id" => "s2" }, { "op" => "house", "set" => { "scuff" => "always" } } ]
    }
    found = apply(both)
    assert_equal %w[s1 s3 s4], ids(found)
    assert_equal "always", found["house"]["scuff"]
    assert_equal [ "s2" ], Edit.touched(both)
  end

  def test_an_edit_never_touches_the_document_it_starts_from
    before = JSON.generate(base)
    document = base
    Edit.apply(document, { "op" => "change_step", "id" => "s3", "set" => { "wet_um" => 60 } })
    assert_equal before, JSON.generate(document)
    assert_predicate document["steps"], :frozen?
  end

  # Every edit of a random chain is undone by going back to the document before it, and every document on the way is
  # valid.
  def test_laws_over_random_chains
    40.times do |seed|
      random = Random.new(seed)
      document = base
      12.times do
        operation = random_operation(document, random)
        after = begin
          Edit.apply(document, operation)
        rescue Rhexon::InvalidInput
          next
        end
        if inverse(document, operation, after)
          assert_equal document, inverse(document, operation, after), "#{operation} is undone (seed #{seed})"
        end
        assert_equal ids(after).uniq, ids(after)
        document = after
      end
    end
  end

  def random_operation(document, random)
    list = ids(document)
    case random.rand(4)
    when 0
      {
        "op" => "add_step", "after" => [ nil, *list ].sample(random: random),
        "step" => coat(Edit.free_id(document), coats: random.rand(1..3))
      }
    when 1 then { "op" => "remove_step", "id" => list.sample(random: random) }
    when 2
      { "op" => "move_step", "id" => list.sample(random: random), "after" => [ nil, *list ].sample(random: random) }
    else { "op" => "change_step", "id" => list.sample(random: random), "set" => { "name" => "n#{random.rand(9)}" } }
    end
  end

  # The inverse operation, built from the document before; undo itself goes back to the parent revision.
  def inverse(before, operation, after)
    index = ids(before).index(operation["id"])
    back = case operation["op"]
    when "add_step" then { "op" => "remove_step", "id" => operation["step"]["id"] }
    when "remove_step"
      { "op" => "add_step", "after" => index.zero? ? nil : ids(before)[index - 1], "step" => before["steps"][index] }
    when "move_step"
      { "op" => "move_step", "id" => operation["id"], "after" => index.zero? ? nil : ids(before)[index - 1] }
    when "change_step"
      { "op" => "change_step", "id" => operation["id"], "set" => { "name" => before["steps"][index]["name"] } }
    end
    Edit.apply(after, back)
  end

  def test_what_is_wrong_is_said_in_a_sentence
    { { "op" => "change_step", "id" => "s3", "set" => { "wet_um" => -5 } } => /Wet film is more than 0/,
      { "op" => "change_step", "id" => "s3", "set" => { "coats" => 0 } } => /whole number from 1 to 30/,
      { "op" => "change_step", "id" => "s3", "set" => { "method" => "dip" } } => /spray, brush, roller, wipe or pad/,
      {
        "op" => "change_step", "id" => "s1", "set" => { "grits" => [ "P1o" ] }
      } => /written with its scale, such as P320/,
      { "op" => "change_step", "id" => "s3", "set" => { "kind" => "wait" } } => /keeps its kind/,
      { "op" => "remove_step", "id" => "zz" } => /no step zz/,
      { "op" => "move_step", "id" => "s1", "after" => "s1" } => /cannot follow itself/,
      { "op" => "split_coats", "id" => "s1", "keep" => 1 } => /cannot be split/,
      {
        "op" => "add_step", "after" => nil, "step" => { "id" => "s8", "kind" => "coat" }
      } => /needs a product, a method/,
      {
        "op" => "add_step", "after" => nil, "step" => { "id" => "s1", "kind" => "look" }
      } => /Two steps have the id s1/,
      { "op" => "dance" } => /not known/ }.each do |operation, sentence|
      assert_match sentence, refusal { apply(operation) }.message
    end
  end

  def test_names_that_are_not_there_are_refused_with_those_that_are
    document = Rhexon::Schedule::Document.check!(document(coat("s1", product: "nope", faces: [ "back" ])))
    error = refusal do
      Rhexon::Schedule::Document.check_names!(document, faces: [ "show" ], products: {}, rooms: [ "bench" ], tools: [],
                                                        people: [])
    end
    assert_equal [ "steps/s1/faces", "show" ], [ error.where, error.accepted ]
  end

  def test_the_words_of_a_step
    words = Rhexon::Schedule::Words
    assert_equal "Sand P150, P180", words.step(base["steps"][0])
    assert_equal "Top coat, W20", words.step(base["steps"][2], "W20")
    assert_equal "Rub out P800", words.step(step("s1", "rub_out", grits: [ "P800" ]))
    durations = [ 45, 185, 7000 ].map { |minutes| Rhexon::Units.duration(minutes) }
    assert_equal [ "45 min", "3 h 05", "4 d 20 h 40" ], durations
  end
end
