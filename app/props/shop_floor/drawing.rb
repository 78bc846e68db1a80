# All that pages draw of one piece of a plan, drawn to see whether it can be.
class ShopFloor::Drawing
  # Sheets are functions of their plan: those that were drawn ahead of an edit are its own.
  KEPT = 6
  @kept = Rhexon::Cache.new(KEPT, lately_used: true)

  # @param picture [Rhexon::Picture::Sheet]
  # @return [Hash] as its page gets it
  def self.serialized(picture)
    @kept.fetch([ picture.plan, picture.piece_id, picture.face ]) { SheetSerializer.new(picture).to_h }
  end

  # @param plan [Rhexon::Planning::Plan]
  # @param piece [Piece]
  def initialize(plan, piece)
    @plan = plan
    @piece = piece
    @sheets = {}
  end

  # @raise [StandardError] whatever stops it; figures that are no numbers cannot be written
  def check!(face = nil)
    whole = picture(face)
    others = faces.without(whole.face).map { |name| SectionSerializer.new(picture(name).section).to_h }
    JSON.generate([ sheet(face), others, strand, slabs, looks(whole.face) ])
  end

  # @param face [String, nil] the face to draw
  # @return [Hash] the sheet as its page gets it
  def sheet(face = nil) = self.class.serialized(picture(face))

  private

  def picture(face) = @sheets[face] ||= Rhexon::Picture::Sheet.new(@plan, @piece.core_id, face: face)
  def faces = @plan.piece(@piece.core_id).faces.keys
  def strand = Rhexon::Picture::ShopPlan.new(@plan).strand_of(@piece.core_id).to_h
  def slabs = Rhexon::Picture::Bench.new(@plan).slabs_of(@piece.core_id).map { |slab| SlabSerializer.new(slab).to_h }

  def looks(face)
    LooksState.of_piece(
      @piece, @piece.schedule.steps.select { |step| step["faces"].nil? || step["faces"].include?(face) }, face,
      plan: @plan
    ).to_h
  end
end
