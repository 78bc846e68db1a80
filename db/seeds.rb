# What a shop needs before its first piece: itself, a room, hours, a pair of hands, and one product of each class.
# With RHEXON_DEMO=1 the made-up shop of the demo instead.
unless Shop.exists?
  if ENV["RHEXON_DEMO"] == "1"
    require_relative "demo/demo"
    Demo.seed!(now: Time.current)
  else
    ActiveRecord::Base.transaction do
      Shop.create!(name: "My shop", zone: ENV.fetch("RHEXON_ZONE", "Europe/Berlin"))
      Room.create!(name: "workshop", t_c: 20, rh: 50)
      Person.create!(name: "Me")
      (1..5).each { |day| OpenHour.create!(weekday: day, opens: "08:00", closes: "17:00") }
      Rhexon::Reference.table("classes").fetch("classes").each do |kind, figures|
        Product.create!(code: kind, name: figures.fetch("name"), maker: "Any", kind: kind, role: figures.fetch("mechanism") == "penetrating" ? "stain" : "film", colour: figures.fetch("mechanism") == "penetrating" ? "tinted" : "clear")
      end
    end
  end
end
