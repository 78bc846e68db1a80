module Demo
  # Works the pieces through the past week as the planner would have had it, with the small delays of a real bench,
  # and writes that into the log.
  class Replay
    # Days ago, and the pieces that were on the bench from then on.
    STAGES = [
      [ 7, [ "Catalogue cabinets" ] ], [ 5, [ "Catalogue cabinets", "Reading desk tops" ] ], [ 3, nil ]
    ].freeze
    # The desk tops were left after their first clear coat: its window shut overnight.
    LEFT_AFTER = { "Reading desk tops" => "s6/1/" }.freeze

    def initialize(now)
      @now = now
      @random = Random.new(11)
    end

    def run!(pieces)
      @left_after = LEFT_AFTER.to_h { |name, pass| [ pieces.fetch(name).core_id, pass ] }
      limits = STAGES.drop(1).map { |days, _| morning(days) } + [ @now.to_i / 60 ]
      STAGES.zip(limits) do |(days, names), limit|
        work(pieces.slice(*(names || pieces.keys)).values, morning(days), limit)
      end
    end

    private

    def clock = Shop.current.clock
    def morning(days) = clock.at((@now - days.days).to_date, "07:30")

    # One day after the other, so that each morning's plan follows what really happened.
    def work(pieces, from, limit)
      while from < limit
        finish = [ from + 1440, limit ].min
        plan(pieces, from).placements.each { |placement| record(placement, finish) }
        from = finish
      end
    end

    def plan(pieces, minute)
      json = ShopFloor.new(now: Time.at(minute * 60)).to_core
      Rhexon::Search::Planner.plan(
        Rhexon::Planning::Shop.new(
          json.merge("pieces" => json["pieces"].select { |piece| pieces.map(&:core_id).include?(piece["id"]) },
                     "log" => log(pieces, json))
        )
      )
    end

    def log(pieces, json)
      json["log"].select { |entry| pieces.any? { |piece| entry["pass"].start_with?("#{piece.core_id}/") } }
    end

    def record(placement, limit)
      if placement.hands.empty? || placement.status != "planned" || placement.hands_end > limit ||
          left?(placement.pass.piece.id)
        return
      end

      started = placement.hands_start + @random.rand(0..2)
      done = [ placement.hands_end - placement.pass.cleanup_min + @random.rand(-2..2), started + 1 ].max
      dry_test(placement)
      entry(placement.pass.key, "started", started)
      entry(placement.pass.key, "done", done)
    end

    def left?(piece_id)
      pass = @left_after[piece_id]
      pass && Entry.exists?([ "kind = 'done' AND pass_key LIKE ?", "#{piece_id}/#{pass}%" ])
    end

    # Before the next coat somebody looked whether the one below was dry.
    def dry_test(placement)
      below = placement.waits
        .select { |wait| wait.pass.leaves_something? && wait.name == "recoat_opens" }
        .max_by(&:reached_at) or
        return
      return unless Entry.exists?(pass_key: below.pass.key, kind: "done")

      entry(below.pass.key, "dry_test", [ placement.hands_start - 1, below.from + 1 ].max,
            { "milestone" => "recoat_opens", "answer" => "dry" })
    end

    def entry(key, kind, minute, body = {})
      piece = Piece.from_core(key.split("/").first)
      Entry.create!(client_id: "demo-#{key}-#{kind}-#{minute}", kind: kind, piece: piece,
                    revision: piece.schedule.head,
                    pass_key: key, body: body, happened_at: Time.at(minute * 60), recorded_at: Time.at(minute * 60))
    end
  end
end
