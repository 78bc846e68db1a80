module Rhexon
  module Planning
    # The recoat window of the coat below, as the next coat meets it.
    # @!attribute of        [Pass] the coat below
    # @!attribute opens_at  [Integer, nil]
    # @!attribute closes_at [Integer, nil] nil when it never shuts
    # @!attribute state     [String] none, open, scuffed, too_soon or over
    Window = Struct.new(:of, :opens_at, :closes_at, :state, keyword_init: true) do
      # @return [Window] of several faces, the one that matters most
      def self.worst(windows) = windows.max_by { |window| [ self::RANK.index(window.state), window.opens_at || 0 ] }
    end
    Window::RANK = %w[none open scuffed over too_soon].freeze
  end
end
