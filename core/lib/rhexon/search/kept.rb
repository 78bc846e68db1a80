module Rhexon
  module Search
    # What the plan that is kept holds a build to: each pass stands where it stood, in the same hands, as long as its
    # work is what it was planned for. From the first pass of a piece whose work has changed, everything is free.
    class Kept < Holds
      # @!attribute places [Hash{Integer=>Planning::Start}] of passes that are still to be done, by pass
      attr_reader :places

      # @param model [Model]
      def initialize(model)
        @model = model
        @now = model.shop.now
        @people = model.people.each_with_index.to_h { |person, index| [ person.id, index ] }
        @places = model.pieces.each_index.flat_map { |piece| unchanged(piece) }.to_h.freeze
        @stood = @places.transform_values(&:minute).freeze
        super(@stood.reject { |_, minute| minute < @now })
      end

      def inside(index) = self[index]
      def person(index) = @people[@places[index]&.person]

      # A scuff that went ahead is not done sooner.
      def ahead?(index) = !scuff_from(index).nil?
      def scuff_from(index) = self[index] && @places[index].scuff_at
      def scuff_by(index) = @people[@places[index]&.scuff_by]
      def stretches(index) = self[index] && @places[index].stretches

      def reason(index, spot)
        because = @places[index]&.because
        because && spot.start == @stood[index] && spot.why != :pin ? because.to_sym : spot.why
      end

      # @param spot [CandidateSlot]
      # @return [Boolean] whether that is where it stood
      def there?(index, spot) = spot.start == @stood[index] && [ nil, spot.who ].include?(person(index))

      # @return [Boolean] whether all of a piece that is still to be done has its place
      def placed?(piece)
        @model.open_passes(piece).all? { |index| @places.key?(index) || @model.kind[index] == :wait }
      end

      # @return [Boolean] it should have begun
      def late?(index) = (minute = @stood[index]) && minute < @now

      def any_late? = @stood.each_value.any? { |minute| minute < @now }

      # @return [Array<Integer>] passes that are not where they stood
      def moved(trial) = @stood.reject { |index, minute| trial.start[index] == minute }.keys

      # By start; what has no place comes with what is before it, and a piece that has none at the end.
      # @param pieces [Array<Integer>]
      # @return [Array<Integer>] pieces, each as often as it has passes to place
      def turns(pieces)
        known = pieces.select { |piece| @model.open_passes(piece).any? { |index| @stood.key?(index) } }
        Orders.by_start(@model, @stood, known) + Orders.by_start(@model, @stood, pieces - known)
      end

      private

      # @return [Array<Array(Integer, Planning::Start)>]
      def unchanged(piece)
        open = @model.open_passes(piece)
        gone = gone(piece)
        open.take_while { |index| as_planned?(index, gone) }
          .filter_map { |index| (place = place(index)) && [ index, place ] }
      end

      # A wait has no place of its own.
      def as_planned?(index, gone)
        return true if @model.kind[index] == :wait

        place = place(index)
        place && (gone.nil? || place.minute < gone) &&
          (place.mark.nil? || place.mark == Planning::Start.mark(@model.passes[index]))
      end

      def place(index) = @model.shop.previous[@model.passes[index].key]

      # @return [Integer, nil] minute of the first pass that the piece has no more
      def gone(piece)
        keys = (@model.first[piece]..@model.last[piece]).map { |index| @model.passes[index].key }
        was = by_piece.fetch(@model.pieces[piece].id, nil) or return
        was.except(*keys).each_value.map(&:minute).min
      end

      def by_piece
        @by_piece ||= @model.shop.previous.group_by { |key, _| key.split("/", 2).first }.transform_values(&:to_h)
      end
    end
  end
end
