module Rhexon
  module Planning
    # Tape that the plan takes off, and puts on again for the next coat, where no step of the schedule takes it off.
    # Reads +@shop+, +@piece+ and +@passes+ of the expansion it is part of.
    module Taping
      # Whether tape comes off after each coat where nobody says: under paint, and under varnish that is brushed or
      # rolled, which bridge it and tear. A film that the next coat melts is scored once it is done, as all is in shops
      # that score.
      # @param mask [Hash] the step
      # @param step [Hash] of a coat over it
      # @param product [Materials::Product, nil]
      # @param house [Hash]
      # @return [Boolean]
      def self.each_coat?(mask, step, product, house)
        return mask["pull"] == "each_coat" if mask["pull"]
        return false if house["tape"] == "scored" || product.nil? || product.mechanism == "evaporative"

        Work::Kind.find(step["kind"]).film? &&
          (%w[brush roller].include?(step["method"]) || product.colour == "pigmented")
      end

      private

      # @param stages [Array<Sequence::Stage>]
      def tape(stages)
        @coats = stages.select { |stage| Work::Steps.lays?(stage.step) }.flat_map do |stage|
          count = stage.step["coats"] || 1
          (stage.round * count + 1..(stage.round + 1) * count).map { |coat| [ stage.step["id"], coat ] }
        end
        begun = @shop.facts.keys.map { |key| key.split("/").first(3) }.to_set
        @begun_coats = @coats.rindex { |id, coat| begun.include?([ @piece.id, id, coat.to_s ]) } || -1
        @pulled = Hash.new(0)
        @off = Set.new
      end

      # After a coat, where its tape comes off with it, and after the last that is laid on.
      def take_tape_off(step, coat)
        at = @coats.index([ step["id"], coat ]) or return
        masks = Schedule::Reach.open_masks(@piece.schedule, step).reject { |mask| @off.include?(mask["id"]) }
        masks.select { |mask| at == @coats.size - 1 || comes_off?(mask, step, coat, at) }.each do |mask|
          @off << mask["id"]
          tape_pass(mask, "unmask", @pulled[mask["id"]] += 1, faces_of(step, coat))
        end
      end

      # Coats of one sitting keep it on to the last of them; what is laid already shows what was done.
      def comes_off?(mask, step, coat, at)
        product = @shop.products[step["product"]]
        return false unless Taping.each_coat?(mask, step, product, @piece.house)
        return false if sat?(step, product) && coat % step["coats"] != 0

        at >= @begun_coats || @shop.facts.key?(tape_key(mask, @pulled[mask["id"]] + 1, faces_of(step, coat), "unmask"))
      end

      def sat?(step, product) = Sittings.asked?(step, product) && step["coats"].to_i > 1

      def tape_on_again(step, coat)
        return unless @coats.include?([ step["id"], coat ])

        Schedule::Reach.open_masks(@piece.schedule, step).select { |mask| @off.delete?(mask["id"]) }.each do |mask|
          tape_pass(mask, "remask", @pulled[mask["id"]], @passes.last.faces)
        end
      end

      def faces_of(step, coat)
        @passes.select { |pass| pass.step.equal?(step) && pass.coat == coat && pass.leaves_something? }
          .flat_map(&:faces).uniq
      end

      def tape_key(mask, count, faces, kind) = "#{Pass.key(@piece, mask, count, faces)}/#{kind}"

      def tape_pass(mask, kind, count, faces)
        add(mask, count, Turns::Turn.new(faces, [], 0, 1), 0..(@piece.count - 1), nil, [], kind: kind)
      end
    end
  end
end
