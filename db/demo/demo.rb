# The made-up shop of the demo: Tarn Yard Finishing and a job that is half done. All dates are relative to the moment
# it is made.
module Demo
  DOCUMENTS = File.expand_path("schedules.yml", __dir__)
  LATER_JOBS = File.expand_path("later_jobs.yml", __dir__)

  module_function

  # @param now [Time]
  def seed!(now:)
    require_relative "shelf"
    require_relative "board"
    require_relative "replay"
    require_relative "pots"
    require_relative "trial"
    require_relative "photos"
    ActiveRecord::Base.transaction do
      people_and_rooms
      Demo.shelf!(now)
      pieces = pieces!(job!("Ostrel Quay Library, reading room", "Ostrel Quay", 25, now),
                       YAML.safe_load_file(DOCUMENTS))
      board = Demo.board!(pieces.fetch("Reading desk tops"), now)
      Demo.more_boards!(pieces, now)
      Replay.new(now).run!(pieces)
      faults!(pieces)
      Trials.make!(pieces.fetch("Reading desk tops"), now)
      later_jobs!(now)
      Demo.pots!(now)
      decisions!(board, pieces.fetch("Reading desk tops"), now)
      Photos.make!(board, pieces)
      book!(pieces)
    end
  end

  def people_and_rooms
    Shop.create!(name: "Tarn Yard Finishing", zone: "Europe/Berlin", scale_g: Devices.scale.resolution_g,
                 terms: { rate_per_h: 48, waste_percent: 10, margin_percent: 15, tax_percent: 20 })
    Room.create!(name: "spray room", uses: %w[spray finish], rack_places: 24, t_c: 20, rh: 52,
                 daily: [ { "at" => "06:00", "t_c" => 20, "rh" => 52 }, { "at" => "18:00", "t_c" => 12, "rh" => 63 } ])
    Room.create!(name: "drying loft", uses: %w[finish dry], rack_places: 30, t_c: 17, rh: 55)
    Room.create!(name: "Sill House hall", t_c: 18, rh: 55, uses: [])
    Room.create!(name: "sanding bay", uses: %w[sand], t_c: 19, rh: 52)
    { "Booth wall" => "spray room", "Loft shelf" => "drying loft" }.each do |name, room|
      Instrument.begin!(name: name, room: Room.find_by!(name: room), stand_in: "none")
    end
    Instrument.begin!(name: "Hall, the day ahead", kind: "weather", room: Room.find_by!(name: "Sill House hall"),
                      stand_in: "none")
    { "Pin meter" => "moisture", "Bench comb" => "comb", "Film gauge" => "gauge", "Gloss meter" => "gloss",
      "Colour reader" => "colour", "Cup" => "efflux" }.each do |name, kind|
      Instrument.begin!(name: name, kind: kind, stand_in: "none")
    end
    osei = Person.create!(name: "Osei", skills: [], role: "owner")
    Person.create!(name: "Imke", skills: %w[spray])
    Tool.create!(name: "gravity gun", used_for: "spray")
    (1..5).each { |day| OpenHour.create!(weekday: day, opens: "07:30", closes: "16:30") }
    (1..5).each { |day| OpenHour.create!(person: osei, weekday: day, opens: "07:30", closes: "16:30") }
    OpenHour.create!(person: osei, weekday: 6, opens: "08:00", closes: "12:00")
    year = Date.current.year
    [ Date.new(year, 12, 24), Date.new(year, 12, 25), Date.new(year + 1, 1, 1) ].each do |holiday|
      OpenHour.create!(date: holiday)
    end
  end

  # What went wrong and was left as it is.
  FAULTS = { "Catalogue cabinets" => "dust_nibs", "Window seat" => "lap_marks" }.freeze

  def faults!(pieces)
    FAULTS.each do |name, fault|
      done = Entry.standing(pieces.fetch(name))
        .select { |entry|
          entry.kind == "done" &&
            pieces[name].schedule.document["steps"].any? do |step|
              step["kind"] == "coat" && step["id"] == entry.pass_key.split("/")[1]
            end
        }.last or
        next
      Entry::LoggedFault.record!(
        { "client_id" => "demo-fault-#{name}", "pass" => done.pass_key, "fault" => fault, "mending" => "leave" },
        happened_at: done.happened_at + 20.minutes
      )
    end
  end

  # What has proved itself is in the recipe book, one of them in two versions.
  BOOK = {
    "Reading desk tops" => [ "Dark elm, waterborne satin",
                             "Tops that are leant on and wiped: dye, sealed, three coats." ],
    "Window seat" => [ "Window seat", nil ]
  }.freeze

  def book!(pieces)
    BOOK.each do |name, (title, says)|
      Template::Kept.new(name: title, says: says).piece!(pieces.fetch(name))
    end
    elm = Template.find_by!(name: "Dark elm, waterborne satin")
    elm.keep!(elm.latest.read.varying(elm.latest.read.variable.map(&:key).reject { |key| key.end_with?("last_grit") }),
              "Changed in the book")
  end

  # The first board is decided and approved; the trial is not.
  def decisions!(board, piece, now)
    chosen = board.cells.find_by!(label: "4")
    Board::Verdict.record!(
      board,
      {
        "client_id" => "demo-verdict", "cell" => chosen.id,
        "reason" => "The librarian knew it at once, and it hides the patches"
      },
      now: now - 3.days
    )
    Approval.record!(piece, { "client_id" => "demo-approval", "name" => "The librarian", "light" => "daylight" },
                     cell: chosen, now: now - 3.days)
  end

  # Work that has not begun.
  def later_jobs!(now)
    YAML.safe_load_file(LATER_JOBS).each do |job|
      pieces!(job!(job["client"], job["place"], job["weeks"] * 7, now), job["pieces"])
    end
  end

  def job!(client, place, days, now)
    due = Shop.current.clock.at((now + days.days).to_date, "16:00")
    Job.create!(client: client, place: place, due_at: Time.at(due * 60), air_there: "20 °C 48 %")
  end

  def pieces!(job, records)
    records.to_h do |name, record|
      faces = record.fetch("faces").each_with_index.map do |face, index|
        Face.new(**face.symbolize_keys, position: index)
      end
      piece = Piece.create!(job: job, name: name, faces: faces,
                            **record.except("faces", "schedule", "reason").symbolize_keys)
      document = { "format" => "rhexon-schedule/2", **record.fetch("schedule") }
      operations = document["steps"].each_cons(2).map do |before, step|
        { "op" => "add_step", "after" => before["id"], "step" => step }
      end
      all = [ { "op" => "add_step", "after" => nil, "step" => document["steps"].first }, *operations ]
      rooms = all.map { |operation| operation.merge("step" => { "room" => document["room"] }.merge(operation["step"])) }
      piece.schedule.edit!(
        { "op" => "all", "operations" => [ { "op" => "place", "set" => document.slice("support") }, *rooms ] }, base: 1,
        reason: record.fetch("reason", "Wrote the schedule")
      )
      [ name, piece ]
    end
  end
end
