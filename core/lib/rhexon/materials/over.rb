module Rhexon
  module Materials
    # What goes over what: the verdict on one material over another as it is now, how to make it work, and who says so.
    class Over
      STATES = %w[fresh open cured].freeze
      RESIDUES = %w[none wax oil].freeze
      # @!attribute verdict [String] holds, scuff, wait, barrier, never or unknown
      # @!attribute why     [String] a sentence or two
      # @!attribute way     [Array<Way>] in working order; empty where it may go straight on, or not at all
      # @!attribute source  [String] who says so
      # @!attribute estimate [Boolean]
      Answer = Struct.new(:verdict, :why, :way, :source, :estimate, keyword_init: true)
      # @!attribute do  [String] wipe, wait, scuff, seal, board
      # @!attribute min [Numeric, nil] minutes at the sheet's climate
      Way = Struct.new(:do, :words, :min, keyword_init: true)

      OLD_WHY = "Nobody knows what it is: most films hold on a sound, sanded old finish by its scratches."
      OLD_HOT = "Nobody knows what it is, and hot solvents lift many an old finish."
      UNKNOWN = "Nobody here has tried it, and no sheet says so."
      TRIED = "trade practice, an estimate".freeze

      # The whole square of kinds: what each is worth over each, as they are now.
      # @return [Hash{String=>Hash{String=>String}}] lower class => upper class => verdict
      def self.square(**now)
        @squares ||= {}
        @squares[now] ||= kinds.to_h { |lower|
          [ lower.class_id, kinds.to_h { |upper| [ upper.class_id, new(lower, upper, **now).answer.verdict ] } ]
        }
      end

      # @return [Array<Product>] one of each kind that is laid on, with nothing but what its kind says
      def self.kinds
        @kinds ||= Reference.pairs.order.map do |id|
          Product.new("id" => "class:#{id}", "class" => id, "name" => Reference.classes.classes.fetch(id)["name"])
        end
      end

      # @param lower [Product, nil] nil: an old finish that nobody knows
      # @param upper [Product]
      # @param state [String] of STATES: it may not be coated yet; its window is open; it has hardened
      # @param sanded [Boolean] it was scuffed since it hardened
      # @param residue [String] of RESIDUES: what lies on it
      # @raise [InvalidInput]
      def initialize(lower, upper, state: "open", sanded: false, residue: "none")
        one_of!(STATES, state, "A film is fresh, in its window or hard", "state")
        one_of!(RESIDUES, residue, "What lies on it is nothing, wax or oil", "residue")
        @lower, @upper, @state, @sanded, @residue = lower, upper, state, sanded, residue
      end

      # @return [Answer]
      def answer
        found = @lower ? known : old
        dirty? ? wiped(found) : found
      end

      private

      def one_of!(all, given, sentence, where)
        Rhexon.refuse_unless(all.include?(given), sentence, where: where, accepted: all.join(", "))
      end

      def wax? = @upper.class_id == "wax"
      def dirty? = @residue != "none" && !(@residue == "wax" && wax?)

      # What lies on it has to go before anything holds, whatever would hold on the clean film.
      def wiped(found)
        wipe = if @residue == "wax"
          Way.new(do: "wipe", words: "Take the wax off with white spirit and clean cloths, twice", min: nil)
        else
          Way.new(do: "wipe", words: "Wipe the oil off with a fast solvent, just before", min: nil)
        end
        never = found.verdict == "never"
        Answer.new(
          verdict: never ? "never" : "wait", way: never ? [] : [ wipe, *found.way ], source: found.source,
          estimate: found.estimate,
          why: "#{@residue == "wax" ? "Wax" : "Oil"} on it keeps everything from holding. #{found.why}"
        )
      end

      # What has to get into the wood, or is wax, no waiting and no seal helps: that goes before what is refused.
      def known
        first = wax? || Pairs.usual(@lower, @upper)&.fetch("verdict") == "never"
        by_sheet || own_class || (usual if first) || waxy || refused || usual || unknown
      end

      def old
        return answered("barrier", OLD_HOT, [ scuff, seal ]) if Pairs.hot?(@upper)
        return answered("holds", "Wax goes over any sound film.", []) if wax?
        return answered("unknown", UNKNOWN, [ board ]) unless @upper.film?

        answered(@sanded ? "holds" : "scuff", OLD_WHY, [ scuff, board ])
      end

      def by_sheet
        min = @lower.pair_wait_min(@upper) or return
        after("holds", "The sheet of #{@lower.name} names the pair.", wait(min, estimate: false), source: "its sheet")
      end

      def waxy
        return unless @lower.waxy?

        sheds = Pairs.sheds_on_wax?(@upper) ? "crawls, or peels off in sheets" : "often lets go"
        answered("barrier", "It holds wax: what goes over it #{sheds}.", [ recoat, seal ])
      end

      def own_class
        return unless @lower.class_id == @upper.class_id

        after("holds", "A material over its own kind holds.", recoat)
      end

      def refused
        row = Pairs.refused(@lower, @upper) or return
        passes = row.key?("until") || row.key?("days")
        return by_scratches("#{row["why"]} It has hardened by now.") if passes && @state == "cured"
        return sealed(row, passes) if row["barrier"]

        answered(passes ? "wait" : "never", row["why"], passes ? [ until_hard(row), scuff ] : [])
      end

      def sealed(row, passes)
        later = " Once it has cured it may go on scuffed, without anything in between." if passes
        answered("barrier", "#{row["why"]}#{later}", [ recoat, seal ])
      end

      def by_scratches(why) = answered(@sanded ? "holds" : "scuff", why, [ scuff ])

      def until_hard(row)
        row["days"] ? Way.new(do: "wait", words: "Wait until it is old enough", min: row["days"] * 1440) : cure
      end

      def usual
        row = Pairs.usual(@lower, @upper) or return
        case row["verdict"]
        when "never" then answered("never", row["why"], [])
        when "barrier" then answered("barrier", row["why"], [ recoat, seal ])
        when "scuff" then if row["hard"]
                            hardened(row)
                          else
                            recoat ? answered("wait", row["why"],
                                              [ recoat, scuff ]) : by_scratches(row["why"])
                          end
        when "cured" then cured(row)
        else row["opens"] ? come_to(row) : after("holds", row["why"], recoat)
        end
      end

      # It holds by itself, once what lies below has come so far.
      def come_to(row)
        figure = @lower.milestone(row["opens"])
        return answered("holds", row["why"], []) if @state == "cured"

        until_then = { "handle" => "it can be handled", "rub_out" => "it can be rubbed out" }.fetch(row["opens"])
        answered("wait", row["why"], [ Way.new(do: "wait", words: "Wait until #{until_then}", min: figure&.value) ])
      end

      # Its window is of no use to what holds by scratches alone.
      def hardened(row)
        figure = @lower.milestone(row["hard"])
        dry = Way.new(do: "wait", words: "Wait until it is dry to sand", min: figure&.value) unless @state == "cured"
        wash = Way.new(do: "wipe", words: "Wash it with water and rinse it, before anything is sanded in", min: nil)
        return answered(@sanded ? "holds" : "scuff", row["why"], @sanded ? [] : [ wash, scuff ]) unless dry

        answered("wait", row["why"], [ dry, wash, scuff ])
      end

      def cured(row)
        return by_scratches(row["why"]) if @state == "cured"

        answered("wait", row["why"], [ cure, scuff ])
      end

      def unknown = answered("unknown", UNKNOWN, [ board ])

      # It holds: at once within its window, later on what was scuffed, unless it melts in.
      def after(verdict, why, wait, source: TRIED)
        return answered("wait", why, [ wait ], source: source) if @state == "fresh" && wait
        return answered(verdict, why, [], source: source) if @state != "cured" || @sanded || melts? || !shuts?

        answered("scuff", "#{why} Its window is shut.", [ scuff ], source: source)
      end

      def melts? = @lower.redissolves? && @lower.family == @upper.family
      def shuts? = !@lower.milestone("recoat_closes")&.value.nil?

      # @return [Way, nil] nil where it may be coated already
      def recoat
        return unless @state == "fresh"

        figure = Pairs.wait(@lower, @upper) || @lower.milestone("recoat_opens")
        figure&.value && wait(figure.value, estimate: figure.estimate)
      end

      def wait(minutes, estimate:)
        who = estimate ? "an estimate for 20 °C and 50 % RH" : "its sheet, in the air it is for"
        Way.new(do: "wait", words: "Wait until it may be coated (#{who})", min: minutes)
      end

      def cure
        figure = @lower.milestone("full_cure")
        Way.new(do: "wait", words: "Wait until it has cured", min: figure&.value)
      end

      def scuff = @sanded ? nil : Way.new(do: "scuff", words: "Scuff it with P320 until it is evenly matt", min: nil)
      def seal = Way.new(do: "seal", words: "Seal with dewaxed shellac in between", min: nil)
      def board
        Way.new(do: "board", words: "Try it on a board first, and pull at it with tape a week later", min: nil)
      end

      def answered(verdict, why, way, source: TRIED)
        Answer.new(verdict: verdict, why: why, way: way.compact, source: source, estimate: source == TRIED)
      end
    end
  end
end
