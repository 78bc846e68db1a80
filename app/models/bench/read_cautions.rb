# Cautions that were read at the bench: each once for a job and a person.
class Bench::ReadCautions
  # @param pieces [Array<Piece>]
  def initialize(pieces)
    @pieces = pieces
  end

  # @return [Hash{String=>Hash{String=>Array<String>}}] piece as the core names it => person => ids
  def to_h
    of_job = by_job
    @pieces.to_h { |piece| [ piece.core_id, of_job.fetch(piece.job_id, {}) ] }
  end

  private

  def by_job
    rows = Entry.uncorrected.joins(:piece)
      .where(kind: "acknowledged", pieces: { job_id: @pieces.map(&:job_id).uniq }).pluck("pieces.job_id", :body)
    rows.group_by(&:first).transform_values do |said|
      said.map(&:last).group_by { |body| body["person"] }
        .transform_values { |bodies| bodies.flat_map { |body| body["cautions"] }.uniq.sort }
    end
  end
end
