# The schedule of a piece on paper, to be hung at the bench: each step with what goes on, when, and the window that it
# has to meet, with a square to tick and a line to write on; then the film and the cautions.
class Schedule::Paper < Printed::Sheet
  # @param sheet [Rhexon::Picture::Sheet] of the piece
  # @param piece [Piece]
  def initialize(sheet, piece, **options)
    super(**options)
    @sheet = sheet
    @piece = piece
  end

  private

  def title = "Schedule: #{@piece.name}"

  def subject
    ready = @sheet.ready_at
    [ @piece.job.client, "#{@piece.count} off, #{@piece.wood}", (ready && "ready #{clock(ready)}") ]
  end

  def draw
    if rows.empty?
      return say("There are no steps yet.")
    end

    table([ [ "", "Work", "From", "Hands", "Window below", "Done, and by whom" ], *rows.map { |row| cells(row) } ],
          [ 8, nil, 26, 14, 34, 34 ], size: 8.5)
    film
    cautions
  end

  def rows = @rows ||= @sheet.rows

  def cells(row)
    [ row.number, [ row.label, details(row) ].compact_blank.join("\n"), clock(row.hands_start), duration(row.hands_min),
      window(row), row.status == "done" ? "done #{clock(row.hands_end)}" : "" ]
  end

  def details(row)
    pass = row.placement.pass
    name = pass.product&.name
    [ (name unless name.nil? || row.label.include?(name)), pass.wet_um && "#{pass.wet_um.round} µm wet",
      row.laid_on_ml && "#{row.laid_on_ml.round} ml", METHODS[pass.method], row.room ].compact.join(", ")
  end

  METHODS = { "spray" => "sprayed", "brush" => "brushed", "roller" => "rolled", "wipe" => "wiped", "pad" => "padded" }
    .freeze
  private_constant :METHODS

  def window(row)
    return "" unless row.window_closes_at || row.window_opens_at

    [ row.window_opens_at && "opens #{clock(row.window_opens_at)}",
      row.window_closes_at && "shuts #{clock(row.window_closes_at)}" ].compact.join("\n")
  end

  def film
    plan = @sheet.plan
    films = @piece.faces.map { |face| [ face.name, plan.film(@piece.core_id, face.name).final.total_um ] }
    part("Film")
    list(films.map { |name, um| "#{name}: #{um.round} µm when all is done" })
  end

  def cautions
    said = rows.flat_map { |row| row.cautions.map(&:text) }.uniq
    return if said.empty?

    part("Cautions")
    list([ *said, "Labels, safety data sheets, local codes and trained practice decide." ], size: 8.5)
  end
end
