# What a page needs is asked for with its first bytes, and not only when the scripts before it have run.
module PreloadHelper
  FONT = "fonts/saira-western.woff2".freeze

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
