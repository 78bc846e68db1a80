# A proposal that becomes a schedule: what is not on the shelf yet is put on its list, with the figures of its kind.
class Schedule::Chosen
  MAKER = "To buy:".freeze

  # @param schedule [Schedule]
  # @param proposal [Rhexon::Systems::Proposal]
  def initialize(schedule, proposal)
    @schedule = schedule
    @proposal = proposal
  end

  # @return [Revision]
  # @raise [Rhexon::InvalidInput] where work that is logged would change
  def keep!
    codes = @proposal.bought.to_h { |product| [ product.id, listed(product).code ] }
    @schedule.propose!(document(codes), @proposal.id, @proposal.name)
  end

  private

  def document(codes)
    steps = @proposal.document["steps"].map do |step|
      codes.key?(step["product"]) ? step.merge("product" => codes.fetch(step["product"])) : step
    end
    @proposal.document.merge("steps" => steps)
  end

  # Bought once: the next schedule takes the same.
  def listed(product)
    name = product.name.sub(/^./, &:downcase)
    sheen = product.sheen_gu&.value
    figures = { "sheen_gu" => sheen, "source" => "estimate by its kind" }.compact
    known = Product.find_by(maker: MAKER, kind: product.class_id, name: named(name, sheen))
    known || Product.create!(maker: MAKER, name: named(name, sheen), kind: product.class_id, colour: product.colour,
                             role: role(product), code: Product.free_code(named(name, sheen)), figures: figures)
  end

  def named(name, sheen) = sheen ? "#{name}, #{sheen.round} GU" : name

  ROLES = { "shellac" => "sealer", "vinyl_sealer" => "sealer", "waterborne_primer" => "primer", "wax" => "wax",
            "siccative_oil" => "oil", "raw_oil" => "oil", "waterborne_filler" => "pore filler",
            "paste_filler_oil" => "pore filler" }.freeze
  private_constant :ROLES

  def role(product) = ROLES.fetch(product.class_id, "top coat")
end
