module Rhexon
  module Proposals
    # New steps that a schedule may be given at a place, each ready to be added, and which of them are likely there.
    class NewSteps
      # @!attribute id    [String] of core/data/new_steps.yml
      # @!attribute words [String] what a search finds it by beside its name
      # @!attribute step  [Hash, nil] nil: the shelf has nothing for it
      # @!attribute wants [String, nil] what has to be on the shelf first
      # @!attribute likely [Boolean]
      Offer = Struct.new(:id, :phase, :name, :says, :words, :step, :wants, :likely, keyword_init: true)

      # @param id [String] of core/data/new_steps.yml
      # @return [Hash] what such a step begins with
      def self.set(id) = Reference.new_steps.steps.find { |entry| entry["id"] == id }.fetch("set", {})

      # @param place [Place, BoardPlace]
      def initialize(place)
        @place = place
        @fresh = FreshStep.new(place)
        @ways = HouseWays.new(place)
      end

      # @return [Array<Offer>] in the order of the work
      def all = Reference.new_steps.steps.map { |entry| offer(entry) }

      private

      def offer(entry)
        step = @fresh.of(entry["kind"], entry["set"] || {})
        wants = Schedule::Kinds.wants[entry["kind"]] unless step
        said = entry.slice("id", "phase", "name", "says", "words").transform_keys(&:to_sym)
        said[:says] = @fresh.why || said[:says] if step&.key?("again")
        likely = !step.nil? && @ways.likely?(entry["id"], entry["after"].intersect?(@place.states))
        Offer.new(**said, step: step, wants: wants, likely: likely)
      end
    end
  end
end
