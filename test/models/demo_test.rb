require "test_helper"
require Rails.root.join("db/demo/demo")

class DemoTest < ActiveSupport::TestCase
  # At any hour and weekday the demo tells its story: work done, work to come, and three schedules in order.
  MOMENTS = [ Time.utc(2026, 11, 23, 9), Time.utc(2026, 11, 26, 22), Time.utc(2026, 11, 29, 12) ].freeze
  TestShare.of("moments of the demo", MOMENTS, most_parts: MOMENTS.size).each do |moment|
    test "the demo made on #{moment.strftime("%a %H:%M")} holds together" do
      travel_to moment
      Demo.seed!(now: Time.current)
      plan = ShopFloor.new.plan
      assert_equal 45, Product.count
      assert_equal Batch::STATES, Batch::STATES & Batch.standing.distinct.pluck(:state)
      assert_operator plan.shopping.lines.count { |line| line.short_g.positive? }, :>=, 1
      assert_equal [ 12, 6 + 2 * 14 + 5 + 4 + 3 ], [ Piece.count, Cell.count ]
      assert_empty plan.build.blocked
      levels = Piece.all.to_h do |piece|
        [ piece.name, Rhexon::Checks::Catalogue.findings(plan, piece.core_id).map(&:level) - [ "note" ] ]
      end
      assert_empty levels.except("Reading desk tops", "Proscenium arch", "Old columns").values.flatten, levels.inspect
      assert_equal %w[caution], levels["Proscenium arch"], "tried on no board"
      assert_includes levels["Reading desk tops"], "caution"
      assert_equal %w[stop caution], levels["Old columns"], "hot lacquer over old paint that nothing has washed"
      assert_operator Entry.where(kind: "done").count, :>, 10
      assert_empty Entry.where("happened_at > ?", Time.current)
      assert_operator Shop::Beliefs.for(ShopFloor.new.to_core)["beliefs"].size, :>=, 1
      assert_equal "certain", Trial.sole.effects.fetch("gloss").effects.first.significance
      assert_equal 2, Entry.where(kind: "fault").count
      assert_equal [ "Larch, oils against bare" ],
                   Board.order(:id)
                     .select { |board| board.relooks(Date.current).any? { |look| look.state == "due" } }
                     .map(&:name)
      assert_equal [ "The librarian", false ],
                   Approval.for(Piece.find_by!(name: "Reading desk tops")).to_h.values_at(:name, :stale)
      assert_equal [ 1, 1 ],
                   [
                     Cell.find_by!(label: "4", board: Board.first).photos.size,
                     Photo.of_piece(Piece.find_by!(name: "Catalogue cabinets")).size
                   ]
      assert_in_delta 1.2, Board::Lessons.current.used.fetch("russet").values["strength"], 0.1
      assert_equal "4", Board.first.cells.find { |cell| cell.id == BoardState.new(Board.first).board["best"] }.label
    end
  end
end
