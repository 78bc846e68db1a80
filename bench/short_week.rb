# Makes a seeded shop one with short hours and a class: RHEXON_DATABASE=short RHEXON_DEMO=1 RAILS_ENV=production
# bin/rails runner bench/short_week.rb [pupils, 28] [pieces of each, 3]
# It is open on Monday mornings alone, and the longest schedule that is in hand is given to the class: all are late.
pupils, count = [ ARGV[0] || 28, ARGV[1] || 3 ].map { |given| Integer(given) }
ApplicationRecord.transaction do
  OpenHour.delete_all
  OpenHour.create!(weekday: 1, opens: "07:30", closes: "12:00")
  piece = Piece.in_hand.includes(schedule: :head).max_by { |one| one.schedule.steps.size }
  Piece::ClassGiven.new(piece).give!(Array.new(pupils) { |at| "Pupil #{at + 1}" }, count: count)
end
