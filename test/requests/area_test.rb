require "test_helper"

class AreaTest < RequestTest
  setup { set_up_shop }

  FIELDS = {
    parts: [ [ 0, 0, 10, 4 ] ], exit: [ 0, 2 ], product: "w20", room: "bench", tool: "roller", strips: "along", coats: 2
  }.freeze

  def ask(**fields) = send_json("/pieces/area", { fields: FIELDS.merge(fields) })

  test "a page with what can be chosen" do
    get "/pieces/area"
    assert_includes props["choices"]["products"].map { |product| product["code"] }, "w20"
    assert_equal %w[brush roller applicator], props["choices"]["tools"]
  end

  # W20 is open 6 min: 0.7 · 30 m²/h · 0.1 h / 0.25 m = 8.4 m; a hall of 10 m takes two sections of 5.
  test "sections, material and time" do
    ask
    assert_in_delta 8.4, answer["limit_m"], 1e-9
    assert_equal [ 5.0, 0.0 ], answer["sections"].map { |section| section["x"] }
    # 40 m² at 100 µm / 0.95, 10 % more: 4.63 l a coat
    assert_in_delta 4631.6, answer["ml"], 1
    assert_in_delta 2 * answer["ml"], answer["all_ml"], 1e-6
    assert_equal 80, answer["minutes"].round
  end

  test "what cannot be is refused with its place" do
    { { parts: [] } => "rectangles", { parts: "all" } => "parts", { exit: [ 1 ] } => "exit",
      { product: "x" } => "product", { room: "x" } => "room", { tool: "mop" } => "tool",
      { strips: "round" } => "strips",
      {
        rate: "fast"
      } => "rate", {
        rate: "-3"
      } => "rate", { coats: 40 } => "coats", { parts: [ [ 0, 0, "a", 4 ] ] } => "rectangles/0" }.each do |bad, where|
      ask(**bad)
      assert_response :unprocessable_entity, bad.inspect
      assert_equal where, answer["error"]["where"], bad.inspect
    end
    send_json("/pieces/area", { fields: "x" })
    assert_response :unprocessable_entity
  end
end
