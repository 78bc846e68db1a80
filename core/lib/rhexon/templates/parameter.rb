module Rhexon
  module Templates
    # What may be set when a template is applied: one field of one step.
    # @!attribute name [String] of the field
    # @!attribute label [String] with the step in words
    # @!attribute value [Numeric, String] as it stands in the template
    # @!attribute accepts [Range, Array<String>] what it may be set to
    # @!attribute step_by [Numeric, nil] by how much minus and plus move it
    Parameter = Struct.new(:step, :field, :name, :label, :value, :accepts, :step_by, :unit, keyword_init: true) do
      # @return [String] "s4/coats"
      def key = "#{step}/#{field}"

      # @raise [InvalidInput]
      def check!(set)
        ok = accepts.is_a?(Array) ? accepts.include?(set) : set.is_a?(Numeric) && accepts.cover?(set)
        ok &&= set.is_a?(Integer) if field == "coats"
        Rhexon.refuse_unless(ok, "#{label}: it cannot be #{set.inspect}", where: "values/#{key}", accepted: words)
      end

      # @return [String] what it may be, in words
      def words = accepts.is_a?(Array) ? accepts.join(", ") : "#{accepts.begin} to #{accepts.end} #{unit}".strip
    end
  end
end
