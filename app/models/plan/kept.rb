# The plan that is kept: where each pass has its place in the database.
module Plan::Kept
  module_function

  # The places of all pieces as rhexon-shop/1 has them; read anew where one was written.
  # @param clock [Rhexon::Zone]
  # @return [Array<Hash>]
  def places(clock)
    mark = [ database, *Stamp.current.of(Stamp::PLANNED), clock.name ]
    @lock.synchronize { return @places.last if @places&.first == mark }
    PlannedPass.to_core(clock).freeze.tap { |places| @lock.synchronize { @places = [ mark, places ] } }
  end

  # Writes down what is not where it stood.
  # @param plan [Rhexon::Planning::Plan]
  # @param entry [Entry, nil] the touch that it was planned for
  # @return [Boolean] whether any place was written
  def write!(plan, entry: nil, now: Time.current)
    was = PlannedPass.places
    gone = gone(plan, was.keys)
    PlannedPass.where(pass_key: gone).delete_all if gone.any?
    written = put!(Rhexon::Planning::Start.of(plan), was, entry, now)
    put_ready!(plan.build.ready.compact, entry, now)
    Stamp.forget
    written || gone.any?
  end

  # Takes over another plan of the same shop; what of it is not true any more is put right when it is planned next.
  # @param starts [Array<Hash>] "previous" of rhexon-shop/1
  def take!(starts, now: Time.current)
    put!(starts, PlannedPass.places, nil, now)
    Stamp.forget
  end

  def put!(starts, was, entry, now)
    changed = starts.map { |start| row(start) }
      .reject { |row| was[row["pass_key"]] == row.values_at(*PlannedPass::FIELDS) }
    return false if changed.empty?

    PlannedPass.upsert_all(changed, unique_by: :pass_key)
    moved!(changed.map { |row| [ row["piece_id"], row["pass_key"], was[row["pass_key"]]&.second, row["start_min"] ] },
           entry, now)
    true
  end

  # @param ready [Hash{String=>Integer}] minute by piece
  def put_ready!(ready, entry, now)
    was = PlannedPiece.pluck(:piece_id, :ready_min).to_h
    changed = ready.transform_keys { |id| Piece.id_of(id) }.reject { |id, minute| was[id] == minute }
    return if changed.empty?

    PlannedPiece.upsert_all(changed.map { |id, minute| { piece_id: id, ready_min: minute } }, unique_by: :piece_id)
    moved!(changed.map { |id, minute| [ id, nil, was[id], minute ] }, entry, now)
  end

  def moved!(rows, entry, now)
    moved = rows.select { |_, _, before, after| before && before != after }.map do |piece, key, before, after|
      { piece_id: piece, entry_id: entry&.id, pass_key: key, was_min: before, now_min: after, at: now }
    end
    return if moved.empty?

    PlanMove.where(at: ...(now - PlanMove::KEPT)).delete_all
    PlanMove.insert_all(moved)
  end

  # Passes that their piece has no more; what is done stays, for a touch may be undone.
  def gone(plan, keys)
    known = plan.model.passes.to_set(&:key)
    pieces = plan.shop.pieces.to_set(&:id)
    keys.reject { |key| known.include?(key) || pieces.exclude?(key.split("/", 2).first) }
  end

  def row(start)
    { "piece_id" => Piece.id_of(start["pass"].split("/", 2).first), "pass_key" => start["pass"],
      "start_min" => Rhexon::Zone.minute(start["start"]),
      **%w[person because mark scuff hands_min].index_with { |field| start[field] } }
  end

  def database = ApplicationRecord.connection_db_config.database

  @lock = Mutex.new
  private_class_method :put!, :put_ready!, :moved!, :gone, :row, :database
end
