require "test_helper"

class OverRequestTest < RequestTest
  setup { set_up_shop }

  test "the page offers kinds and what is laid on of the shelf" do
    get "/shelf/over?lower=w20"
    assert_response :ok
    assert_equal "w20", props["lower"]
    assert_includes props["kinds"].map { |kind| kind["id"] }, "nitro_lacquer"
    assert_includes props["products"].map { |product| product["id"] }, "w20"
    assert_empty props["products"].select { |product| %w[thinner hardener flake].include?(product["kind"]) }
  end

  test "products, kinds and an old finish are answered with verdict, way and who says so" do
    ask(lower: "seal", upper: "w20")
    assert_equal %w[holds estimate], [ answer["verdict"], answer["source"].split.last ]
    ask(lower: "old", upper: "nitro_lacquer")
    assert_equal [ "barrier", %w[scuff seal] ], [ answer["verdict"], answer["way"].map { |way| way["do"] } ]
    ask(lower: "oil_varnish", upper: "waterborne_one_part", state: "cured", sanded: true)
    assert_equal "holds", answer["verdict"]
    assert_equal "holds", answer["square"]["oil_varnish"]["waterborne_one_part"]
  end

  test "what is not there is refused with a sentence" do
    [ { lower: "seal" }, { lower: "soap", upper: "w20" }, { lower: "seal", upper: "w20", state: "wet" },
      { lower: "seal", upper: "w20", residue: "soap" } ].each do |asked|
      ask(**asked)
      assert_response :unprocessable_entity, asked.inspect
      assert_predicate answer["error"]["sentence"], :present?
    end
  end

  private

  def ask(**asked) = send_json("/shelf/over", asked)
end
