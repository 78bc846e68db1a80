require "test_helper"

# A password set on the shop's computer itself.
class NewPasswordTest < ActiveSupport::TestCase
  setup do
    set_up_shop
    @imke = Person.find_by!(name: "Imke")
  end

  test "it signs out everywhere, takes the second step away, and stands on the trail" do
    @imke.update!(password: "elm and old oak", second_secret: ROTP::Base32.random, second_used_at: 1)
    Session.begin!(@imke, device: "tablet")
    Shop::NewPassword.new(" Imke ").set!("walnut and slow oil")
    assert @imke.reload.authenticate("walnut and slow oil")
    assert_equal [ nil, nil, 0 ], [ @imke.second_secret, @imke.second_used_at, @imke.sessions.count ]
    assert_equal [ "password", @imke, "bin/rhexon-shop" ],
                 AuditLine.order(:id).last.then { |line| [ line.kind, line.person, line.by ] }
  end

  test "where nobody can let people in, they own the shop from now on; where somebody can, they stay what they are" do
    @imke.update!(password: "elm and old oak")
    osei = Person.create!(name: "Osei", role: "finisher")
    assert_equal "finisher", Shop::NewPassword.new("Osei").set!("walnut and slow oil").role
    @imke.update!(role: "finisher")
    assert_equal "owner", Shop::NewPassword.new("Osei").set!("walnut and slow oil").role
    assert osei.reload.owner?
  end

  test "nobody of that name, a name left out, and a password that is none" do
    refused = ->(name, password = "x") do
      assert_raises(Rhexon::InvalidInput) { Shop::NewPassword.new(name).set!(password) }
    end
    assert_equal [ "There is nobody called Imka here. Accepted: Imke.", "Imke" ],
                 refused.("Imka").then { |error| [ error.message, error.accepted ] }
    assert_match "Say whose password", refused.("").message
    assert_match "Nothing was typed", refused.("Imke", "").message
    assert_raises(ActiveRecord::RecordInvalid) { Shop::NewPassword.new("Imke").set!("short") }
  end
end
