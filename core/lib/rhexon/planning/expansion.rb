module Rhexon
  module Planning
    # Turns a piece's schedule into passes with what each of them waits for.
    class Expansion
      # @param shop [Shop]
      # @param piece [Piece]
      # @param first_index [Integer] index of the first pass
      # @return [Array<Pass>] in document order
      def self.of(shop, piece, first_index) = new(shop, piece, first_index).passes

      attr_reader :passes

      def initialize(shop, piece, first_index)
        @shop = shop
        @piece = piece
        @first_index = first_index
        @passes = []
        @on_face = piece.faces.keys.to_h { |id| [ id, { film: [], abraded: {}, wet: [], stack: [], stack_dry: 0.0 } ] }
        @steps = piece.schedule["steps"]
        @steps.each_with_index { |step, at| expand(step, @steps.drop(at + 1)) }
        mark_last
      end

      private

      def expand(step, later)
        (1..(step["coats"] || 1)).each do |coat|
          parts(step).each.with_index(1) { |range, part| add(step, coat, range, (part if parts(step).size > 1), later) }
        end
      end

      def add(step, coat, range, part, later)
        faces = step["faces"] || @piece.faces.keys
        pass = Pass.new(index: @first_index + @passes.size, key: Pass.key(@piece, step, coat, part), piece: @piece, step: step, coat: coat, part: part, faces: faces,
                        kind: step["kind"], product: @shop.products[step["product"]], method: step["method"], wet_um: step["wet_um"], range: range,
                        each_min: each_min(step, faces), setup_min: gear("setup_min", step), cleanup_min: gear("cleanup_min", step),
                        room: step["room"] || @piece.schedule["room"] || @shop.rooms.keys.first, pauses: %w[sand level raise_grain].include?(step["kind"]),
                        inserted: false, minutes: step["minutes"], under: [], abraded_by: {}, mates: [])
        pass.solids_percent = Film::Coat.mixed_solids_percent(pass.product.solids_volume_percent.value, step["thinning"]) if pass.film?
        pass.needs = needs(pass, later)
        remember(pass)
        @passes << pass.freeze
      end

      def needs(pass, later)
        pass.faces.flat_map do |face|
          state = @on_face.fetch(face)
          milestone = milestone(pass, face, later)
          dry = state[:wet].map { |index| [ index, "dry" ] }
          film = milestone ? state[:film].map { |index| [ index, milestone ] } : []
          (film + dry).filter_map { |index, name| need(index, name, pass) }
        end.uniq
      end

      # What the next pass on a face waits for.
      def milestone(pass, face, later)
        case pass.kind
        when "coat", "stain" then "recoat_opens"
        when "look" then pass.step["milestone"] || "dust_safe"
        when "wait" then pass.step["milestone"]
        when "level", "sand", "raise_grain" then pass.step["aim"] == "rub_out" || !coated_later?(face, later) ? "rub_out" : "sand"
        end
      end

      def need(index, name, pass)
        lower = @passes[index - @first_index]
        return unless overlap?(lower.range, pass.range)

        pair = name == "recoat_opens" && pass.product ? Materials::Pairs.wait_min(lower.product, pass.product) : nil
        Need.new(pass: index, milestone: name, pair_min: pair).freeze
      end

      def remember(pass)
        pass.faces.each do |face|
          state = @on_face.fetch(face)
          if pass.leaves_something? then lay(pass, state)
          elsif pass.abrasion? then state[:film].each { |index| (state[:abraded][index] ||= []) << pass.index }
          end
          state[:wet] = pass.kind == "raise_grain" ? [ pass.index ] : [] unless %w[look wait].include?(pass.kind)
        end
      end

      def lay(pass, state)
        earlier_parts = state[:film].select { |index| same_coat?(@passes[index - @first_index], pass) }
        below = earlier_parts.any? ? state[:below] : state[:film]
        pass.under |= below.select { |index| overlap?(@passes[index - @first_index].range, pass.range) && @passes[index - @first_index].film? }
        pass.abraded_by = pass.abraded_by.merge(state[:abraded].slice(*pass.under))
        stack(pass, state, earlier_parts)
        state[:below] = below
        state[:film] = earlier_parts + [ pass.index ]
      end

      # Coats of one evaporative family share a stack whose solvent leaves together.
      def stack(pass, state, earlier_parts)
        return unless pass.film?

        family = pass.product.family
        fresh = family.nil? || state[:family] != family
        state.update(family: family, stack: [], stack_dry: 0.0) if fresh
        pass.mates |= state[:stack] - earlier_parts
        state[:stack_dry] += Film::Coat.dry_um(pass.wet_um, pass.solids_percent) if earlier_parts.empty?
        pass.stack_dry_um = [ pass.stack_dry_um || 0.0, state[:stack_dry] ].max
        state[:stack] += [ pass.index ]
      end

      def mark_last
        last = @on_face.each_value.flat_map { |state| state[:film] }
        @passes.map! { |pass| pass.dup.tap { |copy| copy.last_on_faces = last.include?(pass.index) }.freeze }
      end

      def same_coat?(one, other) = one.step["id"] == other.step["id"] && one.coat == other.coat

      def overlap?(one, other) = one.begin <= other.max && other.begin <= one.max

      def coated_later?(face, later)
        later.any? { |step| %w[coat stain].include?(step["kind"]) && (step["faces"].nil? || step["faces"].include?(face)) }
      end

      # A coat longer than every open interval is split into parts of whole pieces.
      def parts(step)
        whole = 0..(@piece.count - 1)
        return [ whole ] unless %w[coat stain].include?(step["kind"])

        room = @shop.calendar.longest - gear("setup_min", step) - gear("cleanup_min", step)
        each = each_min(step, step["faces"] || @piece.faces.keys)
        return [ whole ] if each * @piece.count <= room || each > room

        share = (@piece.count / (@piece.count * each / room.to_f).ceil.to_f).ceil
        whole.each_slice(share).map { |slice| slice.first..slice.last }
      end

      def each_min(step, faces)
        area = @piece.area_m2(faces)
        minutes = case step["kind"]
        when "coat", "stain" then area / rate_m2_per_h(step) * 60
        when "sand" then area * abrasion("sand") * step["grits"].size
        when "level" then step["aim"] == "rub_out" ? area * abrasion("rub_out") * step["grits"].size : area * abrasion("level")
        when "raise_grain" then area * abrasion("raise_grain")
        when "look" then hands.fetch("look_min")
        else 0
        end
        step["kind"] == "wait" ? 0 : [ minutes.ceil, 1 ].max
      end

      def rate_m2_per_h(step)
        step["method"] == "spray" && step["gun"] ? hands.fetch("guns").fetch(step["gun"]).fetch("rate_m2_per_h") : hands.fetch("rate_m2_per_h").fetch(step["method"])
      end

      def gear(kind, step) = step["method"] ? hands.fetch(kind).fetch(step["method"]) : 0

      def abrasion(kind) = hands.fetch("abrasion_min_per_m2").fetch(kind)

      def hands = Reference.table("hands")
    end
  end
end
