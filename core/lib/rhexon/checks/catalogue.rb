module Rhexon
  module Checks
    # All checks, found by folder: each is a file below checks/rules with one public method +call(context)+ that returns
    # findings.
    module Catalogue
      LEVELS = %w[stop caution note].freeze
      # What is lost, the gravest first: people, the piece, work of hands, material, the date. A part of the catalogue
      # by the first word of its ids.
      LOSSES = %w[safety bond colour film pore use repair climate dust rub prep mask mix gear stock time].freeze

      module_function

      # @return [Array<Module>] in the order of their ids
      def rules = @rules ||= Rules.constants.sort.map { |name| Rules.const_get(name) }.freeze

      # @param plan [Planning::Plan]
      # @param piece_id [String]
      # @return [Array<Finding>] stops first, then by what is lost, then in working order; checked once for a plan
      def findings(plan, piece_id) = sorted(plan, piece_id).first

      # What the shop or the schedule does not want to hear of, with its reason.
      # @return [Array<Finding>]
      def silenced(plan, piece_id) = sorted(plan, piece_id).last

      # What stands against one pass, notes left out: told again where it is about to be done.
      # @param plan [Planning::Plan]
      # @param pass [Planning::Pass]
      # @return [Array<Finding>]
      def against(plan, pass)
        findings(plan, pass.piece.id).select { |finding| finding.of?(pass) && finding.level != "note" }
          .map { |finding| finding.told_of(pass) }
      end

      def sorted(plan, piece_id)
        plan.once([ :findings, piece_id ]) do
          check(plan, piece_id).partition { |finding| !Judgement.silent?(finding) }.each(&:freeze).freeze
        end
      end
      private_class_method :sorted

      def check(plan, piece_id)
        context = Context.new(plan, piece_id)
        order = context.document["steps"].each_with_index.to_h { |step, index| [ step["id"], index ] }
        found = rules.flat_map { |rule| rule.call(context) }.map { |finding| Judgement.of(finding, context.piece) }
        sorted = found.sort_by do |finding|
          [
            LEVELS.index(finding.level), LOSSES.index(finding.id[/\A\w+/]) || LOSSES.size,
            order.fetch(finding.step, 99), finding.id, finding.pass.to_s
          ]
        end
        Alike.once(sorted, context.document)
      end
      private_class_method :check
    end
  end
end
