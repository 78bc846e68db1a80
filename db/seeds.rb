# What a shop needs before its first piece: itself, a room, hours, a pair of hands, and one product of each class.
# With RHEXON_DEMO=1 the made-up shop of the demo instead.
unless Shop.exists?
  if ENV["RHEXON_DEMO"] == "1"
    require_relative "demo/demo"
    Demo.seed!(now: Time.current)
  else
    ActiveRecord::Base.transaction do
      Shop.create!(name: "My shop", zone: ENV.fetch("RHEXON_ZONE", "Europe/Berlin"), scale_g: Devices.scale.resolution_g)
      Room.create!(name: "workshop", t_c: 20, rh: 50)
      Person.create!(name: "Me")
      (1..5).each { |day| OpenHour.create!(weekday: day, opens: "08:00", closes: "17:00") }
      Rhexon::Reference.table("classes").fetch("classes").except(*Rhexon::Materials::Product::HELPERS).each do |kind, figures|
        Product.create!(code: kind, name: figures.fetch("name"), maker: "Any", kind: kind, role: figures.fetch("mechanism") == "penetrating" ? "stain" : "film", colour: figures.fetch("mechanism") == "penetrating" ? "tinted" : "clear")
      end
      Product.create!(code: "water", name: "clean water", maker: "Tap", kind: "thinner", role: "thinner", figures: { "carrier" => "water", "density_g_per_ml" => 1.0 })
    end
  end
end
