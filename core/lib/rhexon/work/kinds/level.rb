module Rhexon
  module Work
    module Kinds
      # Between coats: nibs off, a key for the next coat, flat, or back to the wood with the pores left full.
      class Level < AbrasiveWork
        AIMS = {
          "denib" => "Denib", "scuff" => "Scuff", "between" => "Level", "cut_back" => "Cut back to the wood"
        }.freeze
        # What its hours go by.
        WORK = { "denib" => "denib", "scuff" => "scuff", "between" => "level", "cut_back" => "cut_back" }.freeze

        def phase(_step) = "level"

        def minutes(step, extent) = Hours.abrading(WORK.fetch(step["aim"]), step, extent)
        def rubs_over?(step) = %w[denib scuff].include?(step["aim"])

        # The last one, too: what is rubbed for its gloss is a rub-out.
        def waits(_step, _lower, _coated_later) = [ "sand" ]

        def bares?(step) = step["aim"] == "cut_back"

        def effect(surface, placement)
          return super unless bares?(placement.pass.step)

          asked = surface.total_um
          Effect.new(on_bare(stripped(surface), placement.pass.step).surface, asked)
        end

        def words(step, _product_name) = "#{AIMS.fetch(step["aim"])} #{rungs(step).map(&:words).join(", ")}"

        private

        def purpose(step) = step["aim"]
      end
    end
  end
end
