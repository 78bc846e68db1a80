module Rhexon
  module Proposals
    # A bare place on a sample board, where nothing is planned: what {Place} is in a schedule.
    class BoardPlace
      Board = Struct.new(:named_wood, :wanted, :schedule, :house, keyword_init: true) do
        def species = Colour::Wood.named(named_wood)
      end
      Stock = Struct.new(:products, :abrasives, keyword_init: true) do
        def rubs(_piece) = abrasives
      end

      attr_reader :piece, :shop

      # @param wood [String] as the shop names it
      # @param products [Hash{String=>Materials::Product}]
      def initialize(wood, products)
        @piece = Board.new(named_wood: wood, wanted: {}, schedule: { "steps" => [] }.freeze,
                           house: Planning::Schools.defaults).freeze
        @shop = Stock.new(products: products, abrasives: Prep::Abrasive.all("P")).freeze
      end

      # No loop is proposed on a board by what pieces took.
      def history = LoopHistory.new([])
      def steps = []
      def before = []
      def following = nil
      def last = nil
      def states = []

      # @return [Work::Surface]
      def surface = @surface ||= Work::Surface.new(film: Film::Stack.new(wood: "closed"), found: {}.freeze).freeze
    end
  end
end
