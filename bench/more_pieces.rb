# Fills the demo's shop up to twelve pieces for bench/edit.rb: RAILS_ENV=production RHEXON_DATABASE=demo bin/rails
# runner bench/more_pieces.rb Copies of the pieces that are there, without their log.
originals = Piece.where(job: Job.in_hand).includes(:faces, schedule: :head).order(:id).to_a
job = Job.create!(client: "Measurement", due_at: 60.days.from_now)
(12 - originals.size).times do |index|
  model = originals[index % originals.size]
  faces = model.faces.map do |face|
    Face.new(**face.attributes.slice("name", "kind", "area_m2", "grain", "position").symbolize_keys)
  end
  piece = Piece.create!(job: job, name: "#{model.name} #{index + 2}", count: model.count, wood: model.wood,
                        use: model.use, arris: model.arris, ready_at: model.ready_at, faces: faces)
  steps = model.schedule.document["steps"].map { |step| step.except("pins", "mends") }
  adds = [ nil, *steps.map { |step| step["id"] } ].zip(steps).filter_map do |after, step|
    step && { "op" => "add_step", "after" => after, "step" => step }
  end
  piece.schedule.edit!(
    {
      "op" => "all",
      "operations" => [ { "op" => "place", "set" => model.schedule.document.slice("support", "room") }, *adds ]
    },
    base: 1, reason: "Copied for a measurement"
  )
end
puts "#{Piece.where(job: Job.in_hand).count} pieces, #{ShopFloor.new.plan.model.size} passes"
