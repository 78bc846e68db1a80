# A question put to sample boards: a base, what is varied on it, by which design, on which timber. A replicate is a
# board of its own.
class Trial < ApplicationRecord
  belongs_to :piece, optional: true
  has_many :boards, -> { order(:id) }, dependent: :restrict_with_error, inverse_of: :trial
  has_many :cells, through: :boards

  validates :name, presence: { message: "Name the trial." },
                   uniqueness: { message: "There is already a trial of that name." }

  # @return [Array<Numeric>, nil] L*a*b* the cells are held against
  def target = target_lab || piece&.target_lab

  # What each measure of the sound cells says of what was varied.
  # @return [Hash{String=>Rhexon::Boards::Effects::Result}] by measure of core/data/judging.yml, those read on two
  #   cells or more
  def effects
    runs = cells.where(role: "run").includes(:readings, :board).map do |cell|
      [ { "levels" => cell.run, "block" => cell.board.name }, cell.ruined ? {} : cell.summary(target).means ]
    end
    runs.flat_map { |_, means| means.keys }
      .uniq
      .filter_map { |measure| (result = effects_on(measure, runs)) && [ measure, result ] }.to_h
  end

  # Each combination over all its boards, by the weights of the trial, the best first.
  # @return [Array<Rhexon::Boards::Judging::Verdict>] by label
  def verdicts
    sound = cells.where(role: "run", ruined: nil)
      .includes(:readings, :board)
      .group_by(&:label)
      .transform_values { |same| same.map { |cell| cell.summary(target).means } }
    means = sound
      .transform_values { |of_cell|
        of_cell.flat_map(&:keys).uniq.to_h { |measure|
          of_cell.filter_map { |one| one[measure] }.then { |values| [ measure, values.sum / values.size.to_f ] }
        }
      }
      .reject { |_, of_cell| of_cell.empty? }
    Rhexon::Boards::Judging.new(means, weighed,
                                gloss: piece&.sheen_low && [ piece.sheen_low, piece.sheen_high ]).verdicts
  end

  # @return [Hash{String=>Numeric}] weight of each aspect
  def weighed = weights.presence || Rhexon::Reference.judging.weights

  # @param given [Hash{String=>Integer}] 0 to 5 by aspect
  # @raise [Rhexon::InvalidInput]
  def weigh!(given)
    aspects = Rhexon::Reference.judging.aspects
    ok = given.is_a?(Hash) && given.any? &&
      given.all? { |aspect, weight| aspects.include?(aspect) && weight.is_a?(Integer) && weight.between?(0, 5) }
    Rhexon.refuse_unless(ok, "Weights are 0 to 5 for each aspect", where: "weights", accepted: aspects.join(", "))
    update!(weights: given)
  end

  # Factors with their levels in words.
  def named_factors
    names = Shelf.products.transform_values(&:name)
    @named_factors ||= factors.map do |factor|
      {
        "name" => factor["name"],
        "levels" => factor["levels"].map { |value| Rhexon::Boards::FactorLevels.label(factor, value, names) }
      }
    end
  end

  private

  def effects_on(measure, runs)
    return if runs.count { |_, means| means[measure] } < 2

    Rhexon::Boards::Effects.for(named_factors, runs.map { |run, means| run.merge("value" => means[measure]) })
  end
end
