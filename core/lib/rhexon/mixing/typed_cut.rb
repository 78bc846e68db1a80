module Rhexon
  module Mixing
    # A cut as it is written on a jar.
    module TypedCut
      UNITS = {
        "" => "lb_per_gal", "lb" => "lb_per_gal", "lbs" => "lb_per_gal", "#" => "lb_per_gal", "pound" => "lb_per_gal",
        "pounds" => "lb_per_gal", "g/l" => "g_per_l", "%" => "percent_mass"
      }.freeze
      RATIO = /\A\s*(#{Typed::NUMBER})\s*g?\s*:\s*(#{Typed::NUMBER})\s*(?:ml)?\s*\z/
      ACCEPTED = "a cut such as 2 lb, 2#, ½ lb, 240 g/l, 1:4 or 20 %".freeze
      private_constant :UNITS, :RATIO, :ACCEPTED

      module_function

      # @param text [String] "2 lb", "2#", "½ lb", "1 1/2", "240 g/l", "20 %" by mass, "1:4" (g to ml); a number alone
      #   is pounds
      # @return [Cut]
      # @raise [InvalidInput]
      def read(text, where:)
        text = text.to_s.sub(/\s*-?\s*cut\s*\z/i, "")
        return ratio(RATIO.match(text), where) if RATIO.match?(text)

        value, unit = AsTyped.figure(text, where: where, accepted: ACCEPTED)
        name = UNITS[unit.downcase.delete(" .")] or AsTyped.refuse(text, where, ACCEPTED)
        Cut.read({ name => value }, where: where)
      end

      # Whichever way round: there is less flake than spirit.
      def ratio(match, where)
        pair = match.captures.map { |number| Typed.figure(number, where: where) }
        Cut.read({ "g_to_ml" => pair.minmax }, where: where)
      end
      private_class_method :ratio
    end
  end
end
