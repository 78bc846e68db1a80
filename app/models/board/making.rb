# A board as work in the shop: a piece whose faces are its cells, so that it is planned among the others, mixed for
# and walked at the bench with the clock running.
class Board::Making
  JOB = "Sample boards"
  LEAST_M2 = 0.0001
  # "p7/s2/1/1+2": piece, step, coat, faces; what is put in between has a fifth part.
  OF_A_STEP = 3

  # @param board [Board]
  # @return [Piece] the one it has already, or a new one
  # @raise [Rhexon::InvalidInput] when there is nothing to lay on it
  def self.begin!(board) = board.making || new(board).begin!

  # A board is as old as its last pass.
  # @param piece [Piece] something was done on
  def self.done_on!(piece)
    board = Board.find_by(making: piece) or return
    if new(board).progress.then { |progress| progress[:done] >= progress[:passes] }
      board.update!(made_on: Shop.current.clock.date(Entry.standing(piece).last.happened_at.to_i / 60))
    end
  end

  def initialize(board)
    @board = board
  end

  def begin!
    steps = @board.work_order.document["steps"]
    Rhexon.refuse_unless(
      steps.any?, "There is nothing to lay on this board yet", where: "layers", accepted: "cells with layers"
    )
    Board.transaction do
      piece = Piece.create!(job: job, name: @board.name, wood: @board.wood, arris: "sharp", faces: faces)
      adding = steps.each_with_index.map do |step, index|
        { "op" => "add_step", "after" => index.zero? ? nil : steps[index - 1]["id"], "step" => step }
      end
      piece.schedule.edit!(
        { "op" => "all", "operations" => [ { "op" => "place", "set" => { "support" => "hung" } }, *adding ] }, base: 1,
        reason: "Order of work of #{@board.name}"
      )
      @board.update!(making: piece)
      piece
    end
  end

  # @return [Hash] passes of its steps in all and done; what the plan puts between them (scuffs, wiping off) does not
  #   count
  def progress
    piece = @board.making
    done = Entry.standing(piece).select { |entry| entry.kind == "done" }.map(&:pass_key).uniq
    {
      piece_id: piece.id,
      passes: piece.schedule.steps.reject { |step| step["kind"] == "wait" }.sum { |step| step["coats"] || 1 },
      done: done.count { |key| key.count("/") == OF_A_STEP }
    }
  end

  private

  def job = Job.in_hand.find_by(client: JOB) || Job.create!(client: JOB)

  # Insides: what a board must stand up to is not judged.
  def faces
    @board.areas.each_with_index.map do |(name, area), position|
      Face.new(name: name, kind: "inside", area_m2: [ area, LEAST_M2 ].max.round(5), grain: @board.grain,
               position: position)
    end
  end
end
