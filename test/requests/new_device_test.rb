require "test_helper"

# Whoever is signed in is told where else somebody signed in by their name.
class NewDeviceTest < RequestTest
  PASSWORD = "elm and old oak".freeze
  TABLET = "Mozilla/5.0 (Linux; Android 14) Chrome/130.0 Safari/537.36".freeze

  setup do
    set_up_shop
    Rails.configuration.x.demo = false
    Person.find_by!(name: "Imke").update!(password: PASSWORD)
    Person.create!(name: "Osei", password: PASSWORD)
  end

  teardown { Rails.configuration.x.demo = true }

  # @param device [Integer] which of several, each with cookies of its own
  def on(device)
    @devices ||= Hash.new { |all, key| all[key] = open_session }
    @devices[device]
  end

  def signs_in(device, name, agent: TABLET)
    on(device).post("/sign_in", params: { name: name, password: PASSWORD }.to_json,
                                headers: { **JSON_HEADERS, "User-Agent" => agent })
  end

  def told(device)
    on(device).get("/me",
                   headers: { "X-Inertia" => "true", "X-Inertia-Version" => InertiaRails.configuration.version.to_s })
    JSON.parse(on(device).response.body).dig("props", "me", "new_device")
  end

  test "a sign-in on a device they had not used is told on those they had, and not twice" do
    signs_in(1, "Imke")
    assert_nil told(1), "their first"
    travel 1.hour
    signs_in(2, "Imke")
    assert_equal({ "at" => Time.current.to_i / 60, "device" => DeviceName.of(TABLET) }, told(1))
    assert_nil told(2), "not on the new one itself"
    on(2).delete("/sign_in", headers: JSON_HEADERS)
    travel 1.hour
    signs_in(2, "Imke")
    assert_equal Time.current.to_i / 60 - 60, told(1)["at"], "a device that is known is none"
    travel 7.days
    assert_nil told(1)
  end

  test "one device of several people knows each of them, and nobody is told of the others" do
    signs_in(1, "Imke")
    travel 1.hour
    signs_in(2, "Osei")
    assert_nil told(1)
    signs_in(2, "Imke")
    assert_equal Time.current.to_i / 60, told(1)["at"]
    on(3).cookies["rhexon_known"] = on(2).cookies["rhexon_known"].to_s.reverse
    travel 1.hour
    signs_in(3, "Imke")
    assert_equal Time.current.to_i / 60, told(1)["at"], "a cookie of their own making knows nobody"
    on(1).get("/shop/audit.csv")
    assert_equal 4, on(1).response.body.scan("new_device").size
  end
end
