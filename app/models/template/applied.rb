# A version of a recipe for a piece, computed and not kept: the schedule it would be, what is otherwise, and its plan.
class Template::Applied
  # @param version [Template::Version]
  # @param piece [Piece]
  # @param set [Hash] "values" and "products", as they were chosen
  def initialize(version, piece, set)
    @version = version
    @piece = piece
    @set = { "values" => set["values"] || {}, "products" => set["products"] || {} }
  end

  # @return [Rhexon::Templates::Application]
  # @raise [Rhexon::InvalidInput]
  def application
    @application ||= Rhexon::Templates::Application.new(
      @version.read, now.plan.piece(@piece.core_id), now.plan.shop, values: @set["values"], chosen: @set["products"]
    )
  end

  # @return [Rhexon::Compare::Alternative] as it stands
  # @raise [Rhexon::InvalidInput] for a piece that is set aside, or not in hand any more
  def now = @now ||= Rhexon::Compare::Alternative.new(floor.plan_of(@piece), @piece.core_id, "As it stands")

  # @return [Rhexon::Compare::Alternative] as it would be
  # @raise [Rhexon::InvalidInput] where work that is logged would change
  def made
    @made ||= begin
      Schedule::FrozenPasses.new(@piece, @piece.schedule.document).check!(application.document)
      Rhexon::Compare::Alternative.new(plan, @piece.core_id, @version.template.name)
    end
  end

  # @return [Revision]
  # @raise [Rhexon::InvalidInput]
  def keep!
    document = Product::ToBuy.document(application.document, application.to_buy)
    @piece.schedule.take!(document, @version, @set)
  end

  private

  def floor = @floor ||= ShopFloor.new

  def plan
    records = floor.to_core["pieces"].map do |record|
      record["id"] == @piece.core_id ? record.merge("schedule" => application.document) : record
    end
    floor.plan_otherwise("pieces" => records, "products" => floor.to_core["products"] + application.to_buy)
  end
end
