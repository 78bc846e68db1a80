# What a device calls itself, in two words: for the list of devices somebody is signed in on.
class DeviceName
  BROWSERS = { "Firefox" => /Firefox/, "Edge" => /Edg/, "Chromium" => /Chrom/, "Safari" => /Safari/ }.freeze
  ON = { "Android" => /Android/, "iPhone" => /iPhone/, "iPad" => /iPad/, "Windows" => /Windows/, "Mac" => /Mac OS/,
         "Linux" => /Linux/ }.freeze

  # @param agent [String, nil] as the browser sends it
  # @return [String]
  def self.of(agent)
    browser, on = [ BROWSERS, ON ].map { |known| known.find { |_, pattern| pattern.match?(agent.to_s) }&.first }
    [ browser || "A browser", on && "on #{on}" ].compact.join(" ")
  end
end
