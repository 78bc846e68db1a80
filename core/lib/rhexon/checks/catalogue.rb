module Rhexon
  module Checks
    # All checks, found by folder: each is a file below checks/rules with one public method +call(context)+ that returns
    # findings.
    module Catalogue
      LEVELS = %w[stop caution note].freeze

      module_function

      # @return [Array<Module>] in the order of their ids
      def rules = @rules ||= Rules.constants.sort.map { |name| Rules.const_get(name) }.freeze

      # @param plan [Planning::Plan]
      # @param piece_id [String]
      # @return [Array<Finding>] stops first, then in working order; checked once for a plan
      def findings(plan, piece_id) = plan.once([ :findings, piece_id ]) { check(plan, piece_id).freeze }

      def check(plan, piece_id)
        context = Context.new(plan, piece_id)
        order = context.document["steps"].each_with_index.to_h { |step, index| [ step["id"], index ] }
        rules.flat_map { |rule| rule.call(context) }.sort_by do |finding|
          [ LEVELS.index(finding.level), order.fetch(finding.step, 99), finding.id, finding.pass.to_s ]
        end
      end
      private_class_method :check
    end
  end
end
