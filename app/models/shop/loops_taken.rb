# What loops took in this shop, from what looks were answered, of closed jobs too. Read where steps are proposed, not
# with every plan.
class Shop::LoopsTaken
  # @return [Rhexon::Proposals::LoopHistory]
  def self.history = new.history

  def history
    Rhexon::Proposals::LoopHistory.new(answered.filter_map { |(piece, look), answers| taken(piece, look, answers) })
  end

  private

  # Answers of each look, in the order they were given.
  # @return [Hash{Array(Integer, String)=>Array<String>}] by piece and step
  def answered
    @answered ||= rows.group_by { |piece, key, _| [ piece, key.split("/")[1] ] }
      .transform_values { |same| same.map(&:last) }
  end

  def rows
    Entry.uncorrected.where(kind: "done").where("body ->> 'answer' IN ('yes', 'again')")
      .order(:happened_at, :id).pluck(:piece_id, :pass_key, Arel.sql("body ->> 'answer'"))
  end

  # One that was answered yes; what still goes on tells nothing yet.
  def taken(piece_id, look_id, answers)
    piece = pieces[piece_id]
    look = step(piece, look_id)
    work = look&.dig("again") && step(piece, look["again"]["steps"].first)
    return unless work && answers.include?("yes")

    Rhexon::Proposals::LoopHistory::Taken.new(
      kind: work["kind"], product: work["product"], wood: piece.species || piece.wood,
      rounds: answers.take_while { |answer| answer == "again" }.size
    ).freeze
  end

  def pieces
    @pieces ||= Piece.where(id: answered.keys.map(&:first)).includes(schedule: :head).index_by(&:id)
  end

  def step(piece, id) = piece&.schedule&.steps&.find { |one| one["id"] == id }
end
