# What each page asks of the server: RHEXON_DATABASE=large RHEXON_DEMO=1 RAILS_ENV=production bin/rails runner
# bench/pages.rb [times, 5]. Milliseconds (least, middle, most), kB of the page, queries.
times = Integer(ARGV[0] || 5)
session = ActionDispatch::Integration::Session.new(Rails.application)
piece = Piece.where(job: Job.in_hand).order(:id).first.id
board = Board.order(:id).last.id
paths = [
  "/bench", "/pieces", "/pieces/#{piece}/schedule", "/pieces/#{piece}/schedule.json", "/pieces/plan",
  "/pieces/compare?piece=#{piece}", "/boards", "/boards/#{board}", "/trials/new?piece=#{piece}", "/mix", "/shelf",
  "/shelf?view=batches", "/shelf?view=shopping", "/products/w20", "/shop"
]
queries = 0
ActiveSupport::Notifications.subscribe("sql.active_record") { |*, sql| queries += 1 unless sql[:cached] }
paths.each do |path|
  session.get path
  asked = nil
  took = Array.new(times) do
    queries = 0
    began = Process.clock_gettime(Process::CLOCK_MONOTONIC)
    session.get path
    asked = queries
    (Process.clock_gettime(Process::CLOCK_MONOTONIC) - began) * 1000
  end.sort
  puts format("%-34s %3d  %7.0f %7.0f %7.0f ms  %7.1f kB  %4d queries", path, session.response.status, took.first,
              took[times / 2], took.last, session.response.body.bytesize / 1000.0, asked)
end
