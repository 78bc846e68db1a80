module Rhexon
  module Work
    # How long hands take: set-up + area / rate x shape + handling, and never under the least. Rates of
    # core/data/hands.yml.
    module Hours
      module_function

      # @param what [String] sand, level, scuff ...
      # @param step [Hash]
      # @param extent [Extent]
      # @param grits [Integer]
      # @return [Float] minutes for one piece
      def abrading(what, step, extent, grits = 1)
        on_floor = extent.floor? && step["machine"] && table.rate_on_floor[what]
        minutes = extent.at(on_floor || abrading_rate(what, step), grits) + extent.handling_min
        on_floor && what == "sand" ? minutes + grits * along_walls(extent) : minutes
      end

      # @return [Float] minutes for one piece, with handling; what is wiped off again apart
      def laying(step, extent)
        cutting_in = if extent.floor? && step["method"] == "roller" && !extent.helped?
          extent.walls_m * 60.0 / table.floor_edges["cutting_in_m_per_h"]
        end
        extent.at(laying_rate(step, extent)) + extent.handling_min + cutting_in.to_f
      end

      # @return [Float] minutes to wipe one piece off
      def wiping(step, extent)
        extent.at(extent.floor? ? floor_wiping_rate(step, extent) : table.wipe_off_rate)
      end

      # @return [Numeric] m² an hour
      def laying_rate(step, extent)
        method = step["method"]
        return table.floor_rate_m2_per_h.fetch(extent.tool) if extent.tool && extent.tool_for?(method)
        return table.guns.fetch(step["gun"]).fetch("rate_m2_per_h") if method == "spray" && step["gun"]
        return table.rate_m2_per_h.fetch(method) unless extent.floor?

        { "roller" => table.floor_rate_m2_per_h["applicator"],
          "wipe" => floor_wiping_rate(step, extent) }[method] || table.rate_m2_per_h.fetch(method)
      end

      # @return [Numeric] minutes before the first stroke
      def setup(step) = step["method"] ? table.setup_min.fetch(step["method"]) : Kind.find(step["kind"]).setup_min(step)

      # @return [Numeric] minutes after the last
      def cleanup(step) = step["method"] ? table.cleanup_min.fetch(step["method"]) : 0

      def abrading_rate(what, step)
        by_machine = step["machine"] || step["polish_on"] == "wheel"
        (table.rate_by_machine[what] if by_machine) || table.rate_by_hand.fetch(what)
      end

      # Under a buffer, or by hand in sections.
      def floor_wiping_rate(step, extent)
        rates = table.floor_wiping_rate
        if step["machine"]
          rates["by_machine"]
        else
          rates["by_hand"] * (extent.helped? ? 2 : 1)
        end
      end

      def along_walls(extent)
        edges = table.floor_edges
        extent.walls_m * 60.0 / edges["edger_m_per_h"] +
          extent.corners * edges["corner_m2"] * 60.0 / edges["corner_m2_per_h"]
      end

      def table = Reference.hands
      private_class_method :abrading_rate, :floor_wiping_rate, :along_walls, :table
    end
  end
end
