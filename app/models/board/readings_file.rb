# Colour readings of a board as CGATS text: out, and in by the labels of its cells.
class Board::ReadingsFile
  # @!attribute kept    [Integer]
  # @!attribute unknown [Array<String>] samples that are no cell of the board
  Report = Struct.new(:kept, :unknown, keyword_init: true)

  def initialize(board)
    @board = board
  end

  # @return [String]
  def to_cgats
    samples = @board.cells.includes(:readings).filter_map do |cell|
      cell.summary.then do |summary|
        summary.lab && Rhexon::Colour::Cgats::Sample.new(id: cell.label, lab: summary.lab, spectrum: summary.spectrum)
      end
    end
    # Spectra of some cells would have to be made up for the others.
    samples.each { |sample| sample.spectrum = nil } unless samples.all?(&:spectrum)
    Rhexon.refuse_unless(
      samples.any?, "No colour was read on this board yet", where: "readings", accepted: "at least one colour reading"
    )
    Rhexon::Colour::Cgats.write(samples, created: @board.made_on.iso8601)
  end

  # @param bytes [String]
  # @return [Report]
  # @raise [Rhexon::InvalidInput]
  def read!(bytes, now:)
    table = Rhexon::Colour::Cgats.read(Product::Exchange.utf8(bytes))
    cells = @board.cells.index_by(&:label)
    known, unknown = table.samples.partition { |sample| cells.key?(sample.id) }
    Rhexon.refuse_unless(known.any?,
                         "No sample of the file is a cell of this board: #{unknown.first(5).map(&:id).join(", ")}",
                         where: "file", accepted: "samples named #{cells.keys.join(", ")}")
    Reading.transaction { known.each { |sample| record!(cells.fetch(sample.id), sample, table, bytes, now) } }
    Report.new(kept: known.size, unknown: unknown.map(&:id))
  end

  private

  # The same file twice is the same readings.
  def record!(cell, sample, table, bytes, now)
    id = "file-#{Digest::SHA256.hexdigest("#{@board.id} #{bytes}").first(24)}-#{cell.id}"
    about = { cell: cell, light: "daylight", instrument: table.originator || "a file", taken_at: now }
    Reading.record!(client_id: id, kind: "lab", value: lab(sample, table).map { |value| value.round(2) }, **about)
    if sample.spectrum
      Reading.record!(client_id: "#{id}-spectrum", kind: "spectrum",
                      value: sample.spectrum.map { |value| value.round(5) }, **about)
    end
  end

  # Colours of another light or eye cannot be compared, but for a spectrum.
  def lab(sample, table)
    return Rhexon::Colour::Spectrum.lab(sample.spectrum, Rhexon::Colour::Light.find("D65")) if sample.spectrum

    Rhexon.refuse_unless(
      table.light == "D65" && table.observer == "2",
      "The colours of the file are stated for #{table.light} and the #{table.observer}° eye, and cannot be compared",
      where: "file", accepted: "D65 and the 2° eye, or spectra"
    )
    sample.lab
  end
end
