require "zeitwerk"

# What a wood finisher computes. Pure functions and frozen values: no clock, no files but core/data, no network.
# A folder under lib/rhexon is one chapter of the trade; a file holds the constant it is named after, loaded when it
# is first used.
module Rhexon
  loader = Zeitwerk::Loader.for_gem
  loader.inflector.inflect("cli" => "CLI")
  # The checks stand in rooms by what they look at; their names say it already.
  loader.collapse("#{__dir__}/rhexon/checks/rules/*")
  loader.setup

  # @raise [InvalidInput] unless the condition holds
  def self.refuse_unless(condition, what, where:, accepted: nil)
    raise InvalidInput.new(what, where: where, accepted: accepted) unless condition
  end

  # @param words [Array<String>]
  # @return [String] "P60, P100 and P180"
  def self.listed(words) = words.size > 1 ? "#{words[0..-2].join(", ")} and #{words.last}" : words.first.to_s
end
