class GoalSerializer < ApplicationSerializer
  fields name: "'soonest' | 'fewest_sessions' | 'least_hands' | 'late_as_safe'", ready_at: [ :number, NULLABLE ],
         first_at: [ :number, NULLABLE ], sessions: :number, hands_min: :number, scuffs: :number, late_min: :number,
         moves: :number
end
