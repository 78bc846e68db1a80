class ApplicationRecord < ActiveRecord::Base
  primary_abstract_class

  # Letters of a text, as the database holds them to as well.
  NAME, WORDS = 200, 2_000
  # Texts that may be longer than a name.
  LONG = %w[look place reason pass_key ruined words notes].freeze

  validate :texts_fit
  after_save { Stamp.forget }
  after_destroy { Stamp.forget }

  # @return [Integer] letters that a text may have
  def self.most_letters(column) = LONG.include?(column) ? WORDS : NAME

  private

  def texts_fit
    changes.each do |name, (_, value)|
      next unless value.is_a?(String) && self.class.columns_hash[name]&.type == :string

      most = self.class.most_letters(name)
      errors.add(name, "#{name.humanize} has at most #{most} letters.") if value.length > most
    end
  end
end
