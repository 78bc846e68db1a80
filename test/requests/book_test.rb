require "test_helper"

class BookTest < RequestTest
  setup do
    set_up_shop
    @piece = make_piece(steps: [ { "id" => "s1", "kind" => "sand", "grits" => %w[P150 P180] }, coat("s2", coats: 3) ])
    @other = make_piece(name: "Shelf", wood: "maple")
  end

  def keep(**fields) = send_json("/pieces/book", { name: "Satin", piece: @piece.id, **fields })
  def recipe = Template.find_by!(name: "Satin")
  def set(**fields) = { piece_id: @other.id, **fields }
  def preview(**fields) = send_json("/pieces/book/#{recipe.id}/preview", set(**fields))
  def apply(**fields) = send_json("/pieces/book/#{recipe.id}/application", set(**fields))
  def change(**fields) = send_json("/pieces/book/#{recipe.id}", fields, :patch)

  test "an empty book is told, and a schedule that is kept stands in it" do
    get "/pieces/book"
    assert_nil props["recipe"]
    keep
    assert_response :ok
    get "/pieces/book?recipe=#{recipe.id}&piece=#{@other.id}"
    assert_equal [ "Satin", 1, "elm", 2 ], props["recipes"].first.values_at("name", "version", "wood", "steps")
    assert_equal @other.id, props["piece"]
    assert_equal %w[s1/last_grit s2/coats s2/sheen_gu], props["recipe"]["parameters"].map { |one| one["key"] }
  end

  test "a recipe for another piece: what is otherwise, its date beside what stands, and kept as its schedule" do
    keep
    preview(values: { "s2/coats" => 4 })
    assert_equal [ "elm there, maple here", "Top coat, Skerrow W20 clear satin: coats 4 in place of 3" ],
                 answer["differences"]
    assert_kind_of Integer, answer["made"]["ready_at"]
    assert_nil answer["now"]
    assert_empty @other.schedule.reload.steps
    apply(values: { "s2/coats" => 4 })
    assert_response :ok
    schedule = @other.schedule.reload
    assert_equal [ "From the book: Satin, version 1", 4 ], [ schedule.head.reason, schedule.steps.last["coats"] ]
    assert_equal recipe.latest, schedule.template_version
    get "/pieces/book?recipe=#{recipe.id}&piece=#{@other.id}"
    assert_equal({ "s2/coats" => 4 }, props["set"]["values"])
    send_json("/pieces/#{@other.id}/schedule/undo", { face: "top" })
    assert_equal [ [], nil ], [ schedule.reload.steps, schedule.template_version ]
    send_json("/pieces/#{@other.id}/schedule/redo", { face: "top" })
    assert_equal recipe.latest, schedule.reload.template_version
  end

  test "a piece remembers its version, and is told of a newer one" do
    keep
    apply
    change(parameters: %w[s2/coats])
    assert_equal [ 2, "Changed in the book" ], [ recipe.latest.number, recipe.latest.reason ]
    get "/pieces/#{@other.id}/schedule"
    assert_equal [ 1, 2 ], props["schedule"]["recipe"].values_at("number", "newest")
    change(parameters: %w[s2/coats])
    assert_equal 2, recipe.latest.number, "nothing new is no version"
    keep(into: recipe.id, name: nil)
    assert_equal 3, recipe.latest.number
    preview(version: 1)
    assert_response :ok
  end

  test "what the shelf has not is of its kind, to buy" do
    keep
    gone = recipe.latest.read.json
    gone["products"].first.merge!("id" => "far", "name" => "Far gloss", "class" => "oil_varnish", "sheen_gu" => 80)
    gone["schedule"] = { **gone["schedule"], "steps" => gone["schedule"]["steps"].map { |step|
      step["product"] ? step.merge("product" => "far", "method" => "brush") : step
    } }
    recipe.keep!(Rhexon::Templates::Template.read(gone), "Far")
    preview
    assert_equal [ "Far gloss" ], answer["to_buy"]
    assert_no_difference(-> { Product.count }) { preview }
    assert_difference(-> { Product.count }, 1) { apply }
    assert_equal [ "To buy:", "far gloss, 80 GU" ], Product.last.values_at(:maker, :name)
    assert_equal Product.last.code, @other.schedule.reload.steps.last["product"]
  end

  test "work that is in the log stays, and the recipe is refused in words" do
    keep
    @other = make_piece(name: "Begun", steps: [ coat("s1", coats: 2) ])
    log(@other, "s1/1/top", "done", 2.days.ago)
    preview
    assert_response :unprocessable_entity
    assert_match(/in the log/, sentence)
    apply
    assert_response :unprocessable_entity
    assert_equal 1, @other.schedule.reload.revisions.where("reason LIKE 'From%'").count + 1
  end

  test "a file goes out and comes in again, as it was" do
    keep
    get "/pieces/book/#{recipe.id}"
    file = response.body
    before = JSON.parse(file)
    recipe.destroy!
    take_in(file)
    assert_response :ok
    assert_equal before, recipe.latest.read.json
    take_in(file)
    assert_equal 1, recipe.versions.count, "the same file is no new version"
    take_in(JSON.generate(before.merge("says" => "Newer")))
    assert_equal 2, recipe.versions.count
    [ "no json", "[]", JSON.generate(before.merge("format" => "rhexon-template/9")), "{}" ].each do |wrong|
      assert_no_difference(-> { Template::Version.count }) { take_in(wrong) }
      assert_response :unprocessable_entity
      assert_predicate sentence, :present?
    end
  end

  test "names are given once, and what pieces come from stays" do
    keep
    keep
    assert_equal "name", answer["error"]["where"]
    keep(name: "  ")
    assert_response :unprocessable_entity
    keep(name: "Empty", piece: @other.id)
    assert_match(/no steps/, sentence)
    apply
    send_json("/pieces/book/#{recipe.id}", {}, :delete)
    assert_response :unprocessable_entity
    assert_match(/stays/, sentence)
    keep(name: "Another")
    send_json("/pieces/book/#{Template.find_by!(name: "Another").id}", {}, :delete)
    assert_response :ok
    assert_not Template.exists?(name: "Another")
  end

  test "the winner of a board is kept with what it was made on" do
    board = Board.create!(name: "B", wood: "oak", grain: "open", width_mm: 400, height_mm: 300, made_on: Date.current)
    cell = board.cells.create!(label: "1", position: 0, role: "run", run: [], layers: [ coat("s1", coats: 2) ])
    keep(name: "Satin", piece: nil, cell: cell.id)
    assert_response :ok
    assert_equal [ "oak", "From cell 1 of B" ], [ recipe.latest.document["wood"], recipe.latest.reason ]
    preview
    assert_response :ok
  end

  private

  def take_in(text)
    file = Rack::Test::UploadedFile.new(StringIO.new(text), "application/json", original_filename: "recipe.json")
    post "/pieces/book/file", params: { file: file }, headers: { "Accept" => "application/json" }
  end
end
