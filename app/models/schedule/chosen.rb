# A proposal that becomes a schedule: what is not on the shelf yet is put on its list, with the figures of its kind.
class Schedule::Chosen
  # @param schedule [Schedule]
  # @param proposal [Rhexon::Systems::Proposal]
  def initialize(schedule, proposal)
    @schedule = schedule
    @proposal = proposal
  end

  # @return [Revision]
  # @raise [Rhexon::InvalidInput] where work that is logged would change
  def keep! = @schedule.propose!(document, @proposal.id, @proposal.name)

  # @return [Hash] rhexon-schedule/2 with what the shelf has on its list by now
  def document
    bought = @proposal.bought.map do |product|
      { "id" => product.id, "name" => product.name, "class" => product.class_id, "colour" => product.colour,
        "sheen_gu" => product.sheen_gu&.value }
    end
    Product::ToBuy.document(@proposal.document, bought)
  end
end
