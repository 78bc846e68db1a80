# A plan that was accepted: what starts when, and by whom. Later plans stay near the last one.
class Plan < ApplicationRecord
  # @param plan [Rhexon::Planning::Plan]
  # @return [Plan]
  def self.accept!(plan)
    planned = plan.placements.select { |placement| placement.status == "planned" && placement.hands.any? }
    accept_starts!(
      plan.shop.digest,
      planned.map do |placement|
        {
          "pass" => placement.pass.key, "start" => plan.shop.zone.iso(placement.hands_start),
          "person" => placement.person
        }
      end
    )
  end

  # @param starts [Array<Hash>] "pass", "start", "person"
  # @return [Plan]
  def self.accept_starts!(digest, starts) = create!(digest: digest, accepted_at: Time.current, starts: starts)

  def self.last_accepted = order(:accepted_at, :id).last
end
