module Rhexon
  module Work
    module Kinds
      # A thin tinted film that shifts the colour of what lies under it.
      class Tone < FilmWork
        def phase(_step) = "colour"
        def words(step, product_name) = "Tone, #{product_name || step["product"]}"
      end
    end
  end
end
