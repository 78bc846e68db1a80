# What is handed over of a piece, or of the pieces of a job.
class HandoverState
  attr_reader :pieces

  # @param of [Piece, Job]
  # @param names [Boolean] whether products are named
  # @param links [ActiveRecord::Relation<GuestLink>] made for it
  # @param guest [String, nil] token of the link by which it is seen
  def initialize(of, names:, links:, guest: nil, floor: ShopFloor.new)
    @of = of
    @names = names
    @links = links
    @guest = guest
    @floor = floor
  end

  # @return [Hash] HandoverPage
  def to_h
    { kind: job? ? "job" : "piece", id: @of.id, title: title, client: job.client, place: job.place, names: @names,
      pieces: told, aside: aside.map(&:name), zone: Shop.current.zone, now: Time.current.to_i / 60, guest: @guest,
      links: @links.map { |link| GuestLinkSerializer.new(link).to_h } }
  end

  def title = job? ? job.client : @of.name
  def file = "handover-#{title.parameterize}"

  # @return [Array<Hash>] of each piece on which something lies
  def told
    @told ||= (standing - aside).filter_map do |piece|
      handover = Handover.new(piece, floor: @floor, names: @names)
      handover.to_h if handover.any?
    end
  end

  def client = job.client
  def place = job.place

  private

  def job? = @of.is_a?(Job)
  def job = job? ? @of : @of.job
  def standing = @standing ||= job? ? @of.pieces.includes(:faces, :job, schedule: :head).to_a : [ @of ]

  # Pieces that cannot be computed hold nothing up.
  def aside = @aside ||= job.closed_at ? [] : standing.select { |piece| @floor.aside_of(piece) }
end
