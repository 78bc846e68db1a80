module Rhexon
  module Faults
    # A mending as an edit of the schedule: steps after the coat at fault, on its faces. Coats of its step that are
    # still to come move behind them.
    # Where work after the coat is begun already, the steps come after that.
    class Mending
      # @param document [Hash] a schedule document
      # @param pass [String] key of the coat or stain at fault
      # @param begun [Array<String>] keys of passes that the log has
      # @param products [Hash{String=>Materials::Product}]
      def initialize(document, pass:, begun:, products:)
        _, @step_id, coat, faces = pass.split("/")
        @document = document
        @pass = pass
        @coat = Integer(coat.to_s, exception: false) || 1
        @faces = faces.to_s.split("+")
        @step = Schedule::Document.step(document, @step_id)
        Rhexon.refuse_unless(Work::Steps.lays?(@step), "A fault is logged on a coat or a stain",
                             where: "pass", accepted: "the pass that was laid on last")
        @begun = (begun + [ pass ]).map { |key| key.split("/") }.map { |_, step, number| [ step, number.to_i ] }
        @products = products
      end

      # @return [Array<Hash>] ways to mend it that this shelf allows
      def ways(fault) = fault.mendings.select { |mending| offered?(mending) }

      # @param fault [Fault]
      # @param mending [Hash] one of its ways
      # @return [Hash] operation of Schedule::Edit
      # @raise [InvalidInput] when a barrier is asked for and the shelf has no sealer
      def operation(fault, mending)
        Rhexon.refuse_unless(offered?(mending), "#{mending["label"]} cannot be done with what is on the shelf",
                             where: "mending", accepted: "a product whose role is sealer, or another way")
        after, split = anchor
        free = Schedule::Edit.free_id(@document).delete_prefix("s").to_i
        operations = split ? [ split.merge("new_id" => "s#{free}") ] : []
        steps(mending).each.with_index(free + operations.size) do |step, number|
          operations <<
            {
              "op" => "add_step", "after" => after,
              "step" => step.merge("id" => "s#{number}", "mends" => { "pass" => @pass, "fault" => fault.id })
            }
          after = "s#{number}"
        end
        { "op" => "all", "operations" => operations }
      end

      # The steps that mend a fault of a pass leave the schedule again.
      # @return [Hash, nil] operation of Schedule::Edit; nil when there are none
      def self.withdrawal(document, pass)
        mine = document["steps"].select { |step| step.dig("mends", "pass") == pass }
        if mine.any?
          { "op" => "all", "operations" => mine.map { |step| { "op" => "remove_step", "id" => step["id"] } } }
        end
      end

      private

      def offered?(mending)
        (!needs_barrier?(mending) || sealer) && (!mending["redissolves"] || product.redissolves?) &&
          (mending["coloured"].nil? || mending["coloured"] == coloured?)
      end

      # Something under the coat at fault has a colour that can be gone through to.
      def coloured?
        laid = @document["steps"].select { |step| Work::Steps.lays?(step) && here?(step) }
        laid.any? { |step| (material = @products[step["product"]]) && material.coloured? && !material.filler? }
      end

      def needs_barrier?(mending) = mending["steps"].any? { |step| step["do"] == "barrier" || step["barrier"] }
      def product = @products.fetch(@step["product"])

      # The last step that is begun, and the split of its coats when some are still to come.
      def anchor
        order = @document["steps"].each_with_index.to_h { |step, index| [ step["id"], index ] }
        id = @begun.map(&:first).uniq.select { |begun| order.key?(begun) }.max_by { |begun| order.fetch(begun) }
        coats = Schedule::Document.step(@document, id)["coats"] || 1
        done = @begun.select { |begun, _| begun == id }.map(&:last).max.clamp(1, coats)
        [ id, (done < coats ? { "op" => "split_coats", "id" => id, "keep" => done } : nil) ]
      end

      def steps(mending)
        (mending["steps"].flat_map { |template| made(template) } +
          rubbed_out_again(mending)).map { |step| on_faces(step) }
      end

      # What was rubbed out already is rubbed out again, once a coat lies over it.
      def rubbed_out_again(mending)
        return [] unless mending["steps"].any? { |template| %w[coat again patch].include?(template["do"]) }

        begun = @begun.map(&:first)
        last = @document["steps"].rindex { |step| Work::Steps.covers?(step) && begun.include?(step["id"]) } || 0
        done = @document["steps"].each_with_index.filter_map do |step, index|
          step if begun.include?(step["id"]) && here?(step) && rubbed?(step, index > last)
        end
        done.map { |step| step.except("id", "pins", "mends", "while_soft") }
      end

      # Polish and wax; levelling that came after the last coat, for the coat lays its texture over it.
      def rubbed?(step, after_all)
        %w[rub_out polish wax].include?(step["kind"]) || (step["kind"] == "level" && after_all)
      end

      def here?(step) = step["faces"].nil? || @faces.empty? || (step["faces"] & @faces).any?

      def made(template)
        case template["do"]
        when "coat" then template["last"] && coated_later? ? [] : [ again(@step).merge(template["set"] || {}) ]
        when "barrier" then [ barrier ]
        when "patch" then [ { "kind" => "mend", "way" => "patch", "product" => product.id, "spots" => 1 } ]
        when "again" then stripped(template["barrier"])
        when "wait" then [ { "kind" => "wait", **wait(template) } ]
        when "level" then [ { "kind" => "level", "aim" => "between", **template.slice("grits") } ]
        else [ { "kind" => template["do"], **template.slice("grits", "removes_um", "asks") } ]
        end
      end

      def wait(template)
        if template["twice"]
          { "minutes" => [ product.milestone(template["twice"])&.value.to_i, 1 ].max, "name" => "Let it get hard" }
        else
          template.slice("minutes", "milestone")
        end
      end

      # A coat once more: pins and coats belong to the first time.
      def again(step)
        step.except("id", "pins", "one_batch", "wet_on_wet", "mends")
          .merge(step.key?("coats") ? { "coats" => 1 } : {})
      end

      def barrier
        method = sealer.methods_known.include?(@step["method"]) ? @step["method"] : sealer.methods_known.first
        {
          "kind" => "coat", "name" => "Barrier, #{sealer.name}", "product" => sealer.id, "method" => method,
          "wet_um" => sealer.wet_um(method).value, "coats" => 1, "role" => "seal"
        }
      end

      # What is kept apart from wax and oil: a sealer that dries by itself, of another carrier where there is one.
      def sealer
        @sealer ||= @products.values
          .select { |product|
            !product.helper? && !product.waxy? && product.role == "sealer" &&
              product.methods_known.any?
          }
          .min_by { |product| [ product.carrier == product.carrier ? 1 : 0, product.id ] }
      end

      # Down to the wood and up again to the coat at fault.
      def stripped(sealed)
        upto = @document["steps"].index(@step)
        built = @document["steps"].first(upto + 1).select do |step|
          Work::Steps.lays?(step) && (step["faces"].nil? || (step["faces"] & @faces).any?)
        end
        again = built.map do |step|
          again(step).merge(if step.key?("coats")
            { "coats" => step.equal?(@step) ? @coat : step["coats"] }
          else
            {}
          end)
        end
        [
          { "kind" => "strip", "way" => "sanding", "grits" => %w[P150] },
          { "kind" => "sand", "grits" => %w[P180 P240] }, *([ barrier ] if sealed), *again
        ]
      end

      def on_faces(step) = step["faces"] == @faces || @faces.empty? ? step : step.merge("faces" => @faces)

      def coated_later?
        upto = @document["steps"].index(@step)
        @coat < (@step["coats"] || 1) ||
          @document["steps"].drop(upto + 1).any? do |step|
            Work::Steps.covers?(step) && (step["faces"].nil? || (step["faces"] & @faces).any?)
          end
      end
    end
  end
end
