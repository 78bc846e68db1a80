# What comes with the first bytes of a page, before its scripts have run: the rail, and what it will need is asked for.
module FirstBytesHelper
  FONT = "fonts/saira-western.woff2".freeze
  # The rail's places, as components/Shell.tsx has them.
  PLACES = { "Bench" => "/bench", "Schedule" => "/pieces", "Boards" => "/boards", "Mix" => "/mix",
             "Shelf" => "/shelf", "Record" => "/record" }.freeze
  # Pages for whoever has not signed in.
  WITHOUT_RAIL = %w[FirstOwner FirstShop Guest/Approval Guest/Ended Guest/Handover SignIn].freeze
  # The shop's light, as components/Shell.tsx keeps it on the device: nothing flashes in a dark room.
  LIGHT = <<~JS.freeze
    {
      let kept = null
      try { kept = localStorage.getItem("rhexon.light") } catch {}
      const low = kept ? kept === "low" : matchMedia("(prefers-color-scheme: dark)").matches
      document.documentElement.dataset.light = low ? "low" : "full"
    }
  JS

  # What devices show weights, films, areas and temperatures in, where nobody chose otherwise on them.
  # @return [String] metric or us
  def shop_units
    Shop.first&.units || "metric"
  rescue ActiveRecord::ActiveRecordError
    "metric"
  end

  # @return [String]
  def first_light = javascript_tag(LIGHT, nonce: true)

  # Scripts and styles of one page, and the letters it is written in.
  # @param component [String] as in app/frontend/pages
  # @return [String] tags of the head
  def page_preloads(component)
    entries = vite_manifest.resolve_entries("pages/#{component}.tsx")
    safe_join([
                tag.link(rel: "preload", href: vite_asset_path(FONT), as: "font", type: "font/woff2", crossorigin: ""),
                vite_preload_tag(*entries.fetch(:scripts), *entries.fetch(:imports), crossorigin: ""),
                *entries.fetch(:stylesheets).map { |path| tag.link(rel: "stylesheet", href: path_to_asset(path)) }
              ])
  end
end
