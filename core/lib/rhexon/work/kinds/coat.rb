module Rhexon
  module Work
    module Kinds
      # A film: seal, build or top.
      class Coat < FilmWork
        ROLES = {
          "seal" => "Seal", "washcoat" => "Washcoat", "barrier" => "Barrier", "primer" => "Primer", "build" => "Build",
          "top" => "Top coat"
        }.freeze
        UNDER = %w[seal washcoat barrier primer].freeze

        def phase(step) = UNDER.include?(step["role"]) ? "seal" : "build"
        def layer_name(step) = ROLES.fetch(step["role"])
        def words(step, product_name) = "#{layer_name(step)}, #{product_name || step["product"]}"

        private

        def role(step) = step["role"]
      end
    end
  end
end
