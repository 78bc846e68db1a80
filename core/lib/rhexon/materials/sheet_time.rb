module Rhexon
  module Materials
    # Times as sheets give them: "45 min", "16 h", "7 days"; a number alone is minutes.
    module SheetTime
      MINUTES = { "min" => 1, "h" => 60, "hour" => 60, "hours" => 60, "d" => 1440, "day" => 1440, "days" => 1440,
                  "week" => 10_080, "weeks" => 10_080 }.freeze
      PATTERN = /\A(\d+(?:[.,]\d+)?)\s*(#{MINUTES.keys.join("|")})\z/i

      module_function

      # @param text [String]
      # @return [String] the same in minutes; what is no such time as it was
      def minutes(text)
        match = PATTERN.match(text.strip) or return text
        format("%.10g", Float(match[1].tr(",", ".")) * MINUTES.fetch(match[2].downcase))
      end
    end
  end
end
