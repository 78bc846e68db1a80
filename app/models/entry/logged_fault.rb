# A fault found on a coat: what it is, the ways to mend it with what each does to the date, and the entry that puts
# the chosen way into the schedule.
class Entry::LoggedFault
  LEAVE = Rhexon::Faults::Log::LEAVE
  MOST_MM = 2000
  # @!attribute ready_at [Integer, nil] minute the piece would be ready
  # @!attribute later_min [Integer, nil] so much later than if it is left
  Way = Struct.new(:id, :label, :ready_at, :later_min, :hands_min, :film_um, keyword_init: true)

  # @param body [Hash] client_id, pass, fault, mending, cause, answers
  # @return [Entry]
  # @raise [Rhexon::InvalidInput]
  def self.record!(body, happened_at:)
    new(body["pass"], body["fault"]).record!(body, happened_at)
  end

  # What mends it leaves the schedule with the entry, unless work on it is begun.
  # @param entry [Entry]
  def self.withdraw!(entry)
    schedule = entry.piece.schedule
    operation = Rhexon::Faults::Mending.withdrawal(schedule.document, entry.pass_key) or return
    schedule.edit!(operation, base: schedule.head.number,
                              reason: "Took back: #{Rhexon::Faults::Fault.find(entry.body["fault"]).name.downcase}")
  end

  # @param pass [String] key of the coat at fault
  # @param fault_id [String]
  # @raise [Rhexon::InvalidInput]
  def initialize(pass, fault_id)
    @pass = pass.to_s
    @fault = Rhexon::Faults::Fault.find(fault_id)
    @piece = Piece.from_core(@pass.split("/").first)
    begun = Entry.standing_passes(@piece)
    Rhexon.refuse_unless(begun.include?(@pass), "A fault is found on work that is done, and #{@pass} is not in the log",
                         where: "pass", accepted: "the coat laid on last")
    @mending = Rhexon::Faults::Mending.new(
      @piece.schedule.document, pass: @pass, begun: begun, products: Shelf.products
    )
  end

  # @return [Array<Way>] each planned anew
  def ways = @mending.ways(@fault).map { |way| way(way) }

  # @param answers [Hash{String=>Boolean}] cause => yes or no
  # @return [Array<Rhexon::Diagnosis::Ranking::Cause>]
  def causes(answers) = Entry::FaultCauses.new(@piece, @pass, @fault, floor.plan).causes(answers)

  # @param body [Hash] "client_id", "mending" (none or "leave": nothing is mended), "cause", "answers"
  # @return [Entry]
  def record!(body, happened_at)
    client_id, mending_id = body.values_at("client_id", "mending")
    known = Entry.exists?(client_id: client_id)
    Entry.transaction do
      entry = Entry.record!(client_id: client_id, kind: "fault", happened_at: happened_at, piece: @piece,
                            revision: @piece.schedule.head, pass_key: @pass,
                            body: { "fault" => @fault.id, "mending" => mending_id || LEAVE, **found(body) })
      mend!(@fault.mending(mending_id)) unless known || [ nil, LEAVE ].include?(mending_id)
      entry
    end
  end

  private

  def mend!(mending)
    @piece.schedule.edit!(
      @mending.operation(@fault, mending), base: @piece.schedule.head.number,
      reason: "#{@fault.name}: #{mending["label"].sub(/^./, &:downcase)}"
    )
  end

  # What it came from, as the hand believes, and what was asked.
  def found(body)
    cause, answers = body.values_at("cause", "answers")
    known = (cause.nil? || @fault.causes.include?(cause)) &&
      (answers || {}).all? { |says, yes| @fault.causes.include?(says) && [ true, false ].include?(yes) }
    Rhexon.refuse_unless(known, "#{@fault.name} does not come from that", where: "cause",
                                                                          accepted: @fault.causes.join(", "))
    { "cause" => cause, "answers" => answers.presence, "size_mm" => size(body["size_mm"]) }.compact
  end

  def size(across)
    Rhexon.refuse_unless(across.nil? || across.between?(1, MOST_MM), "#{across} mm is no size of a fault",
                         where: "size_mm", accepted: "1 to #{MOST_MM} mm")
    across
  end

  def floor = @floor ||= ShopFloor.new

  def way(mending)
    id = @piece.core_id
    plan = floor.plan_with(@piece, @piece.schedule.proposed(@mending.operation(@fault, mending)))
    ready, left = [ plan, floor.plan ].map { |made| made.build.ready[id] }
    Way.new(id: mending["id"], label: mending["label"], ready_at: ready, later_min: ready && left && ready - left,
            hands_min: plan.hands_min(id) - floor.plan.hands_min(id),
            film_um: plan.film(id, plan.thickest_face(id)).final.total_um.round)
  end
end
