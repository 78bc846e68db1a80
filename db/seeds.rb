# With RHEXON_DEMO=1 the made-up shop of the demo. A shop of one's own is begun on its first page, never by itself
# (FirstShop).
if ENV["RHEXON_DEMO"] == "1" && Shop.none?
  require_relative "demo/demo"
  Demo.seed!(now: Time.current)
end
