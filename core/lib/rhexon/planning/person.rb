module Rhexon
  module Planning
    # Somebody whose hands the plan may use.
    # @!attribute skills [Array<String>, nil] what they are trained for of the work that asks for it (spray, or a
    #   step's own skill); nil: all
    # @!attribute calendar [Calendar] open hours
    # @!attribute own_pieces_only [Boolean] a student: no hands for the pieces of the shop
    Person = Struct.new(:id, :skills, :calendar, :own_pieces_only, keyword_init: true) do
      # @param skill [String, nil]
      def can?(skill) = skill.nil? || skills.nil? || skills.include?(skill)

      # @param owner [String, nil] whose own the piece is
      def works_for?(owner) = owner.nil? ? !own_pieces_only : id == owner
    end
  end
end
