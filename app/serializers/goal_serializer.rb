class GoalSerializer < ApplicationSerializer
  fields name: Rhexon::Search::Goal::NAMES.map { |name| "'#{name}'" }.join(" | "), ready_at: [ :number, NULLABLE ],
         first_at: [ :number, NULLABLE ], sessions: :number, hands_min: :number, scuffs: :number, late_min: :number,
         moves: :number
end
