module Rhexon
  module Planning
    # Somebody whose hands the plan may use.
    # @!attribute skills [Array<String>, nil] what they are trained for of the work that asks for it (spray, or a
    #   step's own skill); nil: all
    # @!attribute calendar [Calendar] open hours
    Person = Struct.new(:id, :skills, :calendar, keyword_init: true) do
      # @param skill [String, nil]
      def can?(skill) = skill.nil? || skills.nil? || skills.include?(skill)
    end
  end
end
