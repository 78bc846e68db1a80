module Rhexon
  module Schedule
    # Steps in words, one vocabulary for screen, findings and history.
    module Words
      KINDS = { "sand" => "Sand", "raise_grain" => "Raise the grain", "stain" => "Stain", "coat" => "Coat", "level" => "Level", "wait" => "Wait", "look" => "Look", "scuff" => "Scuff" }.freeze
      ROLES = { "seal" => "Seal", "build" => "Build", "top" => "Top coat" }.freeze
      DONE = { "spray" => "sprayed", "brush" => "brushed", "roller" => "rolled", "wipe" => "wiped", "pad" => "padded" }.freeze
      MILESTONES = { "dust_safe" => "dust-safe", "touch" => "dry to touch", "recoat_opens" => "recoat opens", "sand" => "dry to sand", "handle" => "ready to handle",
                     "stack" => "ready to stack", "rub_out" => "ready to rub out", "full_cure" => "fully cured", "dry" => "dry" }.freeze

      module_function

      # @param step [Hash] of a schedule document
      # @param product_name [String, nil]
      # @return [String] e.g. "Sand P150, P180", "Seal, dewaxed shellac"
      def step(step, product_name = nil)
        return step["name"] if step["name"]

        case step["kind"]
        when "sand" then "Sand #{step["grits"].join(", ")}"
        when "raise_grain" then "Raise the grain"
        when "stain" then "Stain, #{product_name || step["product"]}"
        when "coat" then "#{ROLES.fetch(step["role"])}, #{product_name || step["product"]}"
        when "level" then "#{step["aim"] == "rub_out" ? "Rub out" : "Level"} #{step["grits"].join(", ")}"
        when "wait" then step["milestone"] ? "Wait until #{MILESTONES.fetch(step["milestone"])}" : "Wait #{duration(step["minutes"])}"
        when "look" then step["asks"] || "Look"
        end
      end

      # @param minutes [Numeric]
      # @return [String] "45 min", "3 h 05", "4 d 20 h 40"
      def duration(minutes)
        whole = minutes.round
        return "#{whole} min" if whole < 60

        hours, rest = whole.divmod(60)
        return format("%d h %02d", hours, rest) if hours < 48

        format("%d d %d h %02d", hours / 24, hours % 24, rest)
      end
    end
  end
end
