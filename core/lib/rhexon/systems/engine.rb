module Rhexon
  module Systems
    # From a wish to schedules: every system that may do is made for the piece and planned into the shop as it stands;
    # what is left is ranked, and what fell out says why. The same question has the same answer.
    class Engine
      # @!attribute proposals [Array<Proposal>] the best first, at most six
      # @!attribute fallen    [Array<Fallen>] in the order of the systems
      # @!attribute late      [Boolean] none is ready in time: these are the soonest
      # @!attribute remarks   [Array<String>] what of the wish cannot be had, and what is not known, in sentences
      Answer = Struct.new(:proposals, :fallen, :late, :ranking, :remarks, keyword_init: true)
      # @!attribute reason [String] a few words
      Fallen = Struct.new(:system, :reason, keyword_init: true)

      # Lacking that much in one thing, or in all, it is soon spoilt there.
      MOST_LACKING, MOST_LACKING_IN_ALL = 1, 2
      # So many may be told before all are made.
      EARLY = 3
      # So many are shown of those that are late, where all are.
      LATE = 3

      # @param shop [Planning::Shop]
      # @param piece_id [String] of its schedule only counts what is begun
      # @param wish [Hash] of rhexon-wish/1
      # @raise [InvalidInput]
      def initialize(shop, piece_id, wish)
        record = shop.record_of(piece_id) or raise InvalidInput.new("There is no piece #{piece_id}", where: "piece",
                                                                    accepted: shop.pieces.map(&:id).join(", "))
        @id = piece_id
        @wish = Wish.new(wish, shop)
        @record = record
        @kept = Kept.new(shop, record)
        empty = shop.with_piece(record.merge("schedule" => bare(record["schedule"])))
        @shop = empty.with("products" => empty.products.values.map(&:to_h) + Shelf.to_buy(@wish))
        @due = @wish.due || @shop.pieces.find { |piece| piece.id == piece_id }.due
      end

      # @yieldparam proposal [Proposal] the first few that do, as they are made and in no order yet
      # @return [Answer]
      def answer
        @fallen = []
        early = 0
        sound = promising.filter_map do |system|
          proposal = sound(system) or next
          yield proposal if block_given? && !proposal.late_min(due).positive? && (early += 1) <= EARLY
          proposal
        end
        in_time = sound.reject { |one| one.late_min(due).positive? }
        late = in_time.empty? && sound.any?
        kept = late ? sound.min_by(LATE) { |one| [ one.ready_at, one.id ] } : in_time
        (sound - kept).each { |one| fall(one.system, late_words(one)) }
        ranked(kept, late)
      end

      # @return [Integer, nil] minute by which it is wished, or due
      attr_reader :due

      private

      # Where it stands and how it lies stays, and what is done.
      def bare(schedule)
        { **Schedule::Document.empty, **schedule.slice("room", "dry_room", "support", "house"), "steps" => @kept.steps }
      end

      def base = @base ||= Search::Planner.plan(@shop)
      def shelf = @shelf ||= Shelf.new(@shop, @wish)
      def piece = @piece ||= base.piece(@id)

      def proposal(system)
        return if out?(system, system.unfit(piece, @wish, stripped: @kept.stripped?))

        instance = Instance.new(system, base, @id, @wish, shelf, @kept)
        return fall(system, instance.reason) unless instance.make

        Proposal.new(instance, @id, @wish.asks(piece.use))
      end

      # @return [Proposal, nil] one that comes to the wish, whenever it is ready
      def sound(system)
        made = proposal(system) or return
        made unless out?(system, spoilt(made) || told(made) || dear(made))
      end

      # What has no price may be within it: it stays, and its page says that there is none.
      def dear(proposal)
        over = @wish.budget && proposal.cost && proposal.cost - @wish.budget
        "#{proposal.cost.round} of material, #{over.ceil} too much" if over&.positive?
      end

      # What bears its use by its kind, smells little and is easy comes first, so that what is told early is likely to
      # stay.
      def promising
        System.all.sort_by.with_index do |system, index|
          resists = Reference.uses.resists[system.top["class"]&.first] || {}
          lacks = @wish.asks(piece.use).sum { |measure, asked| [ asked - (resists[measure] || 0), 0 ].max }
          [ lacks, system.odour + system.skill, index ]
        end
      end

      def out?(system, reason)
        return false unless reason

        fall(system, reason)
        true
      end

      def fall(system, reason)
        @fallen << Fallen.new(system: system, reason: reason)
        nil
      end

      # What its use would soon spoil.
      def spoilt(proposal)
        lacks = proposal.lacks
        return if lacks.values.all? { |lack| lack <= MOST_LACKING } && lacks.values.sum <= MOST_LACKING_IN_ALL

        lacks.max_by { |measure, lack| [ lack, measure ] }.first.then { |measure| Materials::Resistance.words(measure) }
      end

      # Pores or sheen that it does not come to after all.
      def told(proposal)
        return "pores stay #{proposal.pores}" if @wish.pores == "closed" && proposal.pores == "open"

        gu = proposal.sheen_gu
        "#{gu.round} GU" if @wish.sheen && gu && !gu.between?(@wish.sheen[0] - SHEEN_PLAY, @wish.sheen[1] + SHEEN_PLAY)
      end

      # A sheen that is off by less, GU, is not seen. An estimate.
      SHEEN_PLAY = 5
      private_constant :SHEEN_PLAY

      def late_words(proposal)
        "ready #{@shop.zone.label(proposal.ready_at)}, #{Units.duration(proposal.late_min(due))} late"
      end

      def ranked(kept, late)
        ranking = Ranking.new(kept, @wish, due)
        ranking.dropped.each { |one, why| fall(one.system, why) }
        (ranking.ranked - ranking.kept - ranking.dropped.keys).each { |one| fall(one.system, "further from the wish") }
        order = System.all
        Answer.new(proposals: ranking.kept, fallen: @fallen.sort_by { |one| order.index(one.system) }, late: late,
                   ranking: ranking, remarks: Remarks.new(base, @id, @wish).to_a)
      end
    end
  end
end
