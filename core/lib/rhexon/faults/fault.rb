module Rhexon
  module Faults
    # What goes wrong on a surface.
    # @!attribute looks    [String] what is seen
    # @!attribute shown    [Array<Hash>] likely causes: "says", "shown_by" (of Evidence), "asks", "by"
    # @!attribute by       [Array<String>, nil] found on what was laid on in these ways alone; nil: on all
    # @!attribute mendings [Array<Hash>] "id", "label", "steps" of core/data/faults.yml
    Fault = Struct.new(:id, :name, :looks, :shown, :mendings, :by, keyword_init: true) do
      # @return [Array<Fault>]
      def self.all
        @all ||= Reference.faults
          .faults
          .map { |id, record| read(id, record) }.freeze
      end

      def self.read(id, record)
        new(id: id, name: record["name"], looks: record["looks"], shown: record["causes"],
            mendings: record["mendings"], by: record["by"]).freeze
      end
      private_class_method :read

      # @param method [String, nil] how the coat was laid on; nil: not known
      # @return [Array<Hash>] the causes that it can have
      def causes_of(method)
        shown.select { |cause| method.nil? || cause["by"].nil? || cause["by"].include?(method) }
      end

      # @return [Array<String>] likely causes, as they are called
      def causes = shown.map { |cause| cause["says"] }

      # @raise [InvalidInput]
      def self.find(id)
        all.find { |fault| fault.id == id } ||
          raise(
            InvalidInput.new("The fault #{id.inspect} is not known", where: "fault", accepted: all.map(&:id).join(", "))
          )
      end

      # @param id [String, nil] nil: the first
      # @return [Hash]
      # @raise [InvalidInput]
      def mending(id)
        mendings.find { |mending| id.nil? || mending["id"] == id } ||
          raise(
            InvalidInput.new(
              "#{name} cannot be mended by #{id.inspect}", where: "mending",
              accepted: mendings.map { |mending| mending["id"] }.join(", ")
            )
          )
      end
    end
  end
end
