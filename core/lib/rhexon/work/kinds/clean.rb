module Rhexon
  module Work
    module Kinds
      # Dust, grease, wax and what a stripper left are taken away. Water raises bare grain.
      class Clean < Kind
        TAKES = {
          "vacuum" => %w[dust], "air" => %w[dust], "tack" => %w[dust], "solvent_wipe" => %w[dust oil wax],
          "degrease" => %w[dust oil], "wash" => %w[dust oil stripper], "oxalic_rinse" => %w[dust stripper]
        }.freeze
        # The usual way to get a residue off.
        USUAL = { "stripper" => "wash", "oil" => "solvent_wipe", "wax" => "solvent_wipe" }.freeze
        WATER = %w[degrease wash oxalic_rinse].freeze

        # @param residue [String, nil]
        # @return [String]
        def self.way_for(residue) = USUAL.fetch(residue, "vacuum")

        def room(step) = step["way"] == "air" ? "sand" : nil
        def minutes(step, extent)
          rate = (hands.clean_rate_on_floor[step["way"]] if extent.floor?) || hands.clean_rate.fetch(step["way"])
          extent.at(rate) + extent.handling_min
        end


        # What may be sanded may be cleaned of its dust.
        def waits(_step, _lower, _coated_later) = [ "sand" ]

        def wet(step)
          minutes = hands.dry_after_min[step["way"]] or return
          Wet.new(minutes, WATER.include?(step["way"]) ? "water" : "solvent")
        end

        def effect(surface, placement)
          way = placement.pass.step["way"]
          raised = WATER.include?(way) && surface.bare? && surface.grain.nil?
          left = TAKES.fetch(way).include?(surface.residue) ? nil : surface.residue
          return same(surface) unless raised || left != surface.residue

          same(surface.with(residue: left, grain: raised ? "standing" : surface.grain))
        end

        def words(step, _product_name) = in_this_way(step)
      end
    end
  end
end
