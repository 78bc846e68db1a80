module Rhexon
  module Planning
    # Turns a piece's schedule into passes with what each of them waits for.
    class Expansion
      include Handwork
      include HardWindows
      include Sittings
      include Taping

      # Passes of the whole shop, numbered through.
      # @param shop [Shop]
      # @return [Hash{String=>Array<Pass>}] by piece id
      def self.queues(shop)
        index = 0
        queues = shop.pieces.to_h do |piece|
          [ piece.id, for_piece(shop, piece, index).tap { |passes| index += passes.size } ]
        end
        most = most_passes.shop
        Rhexon.refuse_unless(
          index <= most, "All pieces in hand come to #{index} passes", where: "pieces",
          accepted: "at most #{most} passes: close jobs that are done"
        )
        queues
      end

      def self.most_passes = Reference.hands.most_passes

      # @param shop [Shop]
      # @param piece [Piece]
      # @param first_index [Integer] index of the first pass
      # @return [Array<Pass>] in document order
      def self.for_piece(shop, piece, first_index)
        # By the very object: what reads the passes knows their piece and its steps again by identity.
        key = [
          piece.__id__, first_index, shop.setting, shop.log.parts_of(piece.id),
          shop.log.answers_of(piece.id), shop.log.measured_of(piece.id),
          *(shop.air_of_the_day if piece.schedule["steps"].any? { |step| step["wipe_off"] })
        ]
        @kept.fetch(key) { new(shop, piece, first_index).passes.freeze }
      end

      # One object for equal signatures, so that they are known again by identity.
      # @return [Array]
      def self.same_signature(signature) = @signatures.fetch(signature) { signature }

      @signatures = Cache.new(2000)

      # A spot as what lies under the next work.
      Spot = Struct.new(:kind, :film, :method, :product) { def film? = film }
      private_constant :Spot

      # Expansions made lately: a shop is planned again and again with most of its schedules unchanged.
      @kept = Cache.new(600)

      attr_reader :passes

      def initialize(shop, piece, first_index)
        @shop = shop
        @piece = piece
        @first_index = first_index
        @passes = []
        @on_face = piece.faces.keys.to_h do |id|
          [ id, { film: [], abraded: {}, wet: [], caught: [], stack: [], stack_dry: 0.0 } ]
        end
        stages = Sequence.of(shop, piece)
        tape(stages)
        stages.each { |stage| expand(stage) }
        finish
      end

      private

      def expand(stage)
        step = stage.step
        coats = step["coats"] || 1
        laid = (stage.round * coats + 1..(stage.round + 1) * coats).map do |coat|
          tape_on_again(step, coat)
          from = @passes.size
          Turns.for(@piece, step).each do |turn|
            number = (coat - 1) * turn.times + turn.time + 1
            parts(step, number, turn.faces).each { |range, part| add(step, number, turn, range, part, stage.later) }
          end
          @passes.drop(from).tap { take_tape_off(step, coat) }
        end
        sit(laid)
      end

      # Counted as they are made, before anything is searched.
      def few!(step)
        most = self.class.most_passes.piece
        Rhexon.refuse_unless(
          @passes.size < most,
          "The schedule comes to more than #{most} passes: steps, coats, faces in turn and parts of a day multiply",
          where: "pieces/#{@piece.id}/steps/#{step["id"]}/coats",
          accepted: "at most #{most}: fewer coats, faces laid on together, or several pieces"
        )
      end

      # @param kind [String, nil] of work that the plan puts in for a step
      def add(step, coat, turn, range, part, later, kind: nil)
        few!(step)
        room = room(step)
        key = [ Pass.key(@piece, step, coat, turn.faces, part), *kind ].join("/")
        pass = Pass.new(
          index: @first_index + @passes.size, key: key, piece: @piece, step: step, coat: coat, part: part,
          faces: turn.faces, caught: turn.caught, kind: kind || step["kind"],
          product: @shop.products[step["product"]], method: step["method"], wet_um: step["wet_um"], range: range,
          sections: sections(step, turn.faces, range.size),
          each_min: each_min(kind ? step.merge("kind" => kind) : step, turn.faces, range.size),
          setup_min: Work::Hours.setup(kind ? step.merge("kind" => kind) : step),
          cleanup_min: step["wipe_off"] && !sections(step, turn.faces, range.size) ? 0 : Work::Hours.cleanup(step),
          room: room, dry_room: dry_room(step), pauses: work(step).pauses?,
          dust: work(step).dust?(step), skill: skill(step), tools: tools(step),
          inserted: !kind.nil?, minutes: step["minutes"], under: [], under_faces: {}, abraded_by: {}, mates: [],
          after_day: after_day(step, coat, turn.faces, range)
        )
        pass.transfer = @shop.transfer.factor(Transfer.way(pass.method, step["gun"]))
        pass.rubs = @shop.abrasion.factor(RubbedOff.way(pass))
        pass.wet_um = LaidFilm.um(@shop.facts[key], pass, @shop.products) || pass.wet_um
        pass.solids_percent = Mixing::ProductMix.solids_percent(pass.product, @shop.products, step) if pass.film?
        pass.hard = hard(pass)
        pass.needs = needs(pass, later)
        remember(pass)
        @passes << pass
        wipe_off(pass) if step["wipe_off"] && pass.leaves_something? && pass.sections.nil?
      end

      # So many coats a day, and the rest on the next.
      def after_day(step, coat, faces, range)
        most = step["coats_a_day"] || @piece.house["coats_a_day"] or return
        before = @passes.find do |other|
          other.leaves_something? && other.step.equal?(step) && other.coat == coat - most && other.faces == faces &&
            overlap?(other.range, range) && !other.inserted
        end
        before&.index if work(step).lays?
      end

      # What is flooded on is wiped off again before it is tacky: work of its own, right behind.
      def wipe_off(wet)
        changes = {
          index: @first_index + @passes.size, key: "#{wet.key}/wipe", kind: "wipe_off",
          each_min: minutes(Work::Hours.wiping(wet.step, extent(wet.step, wet.faces))), setup_min: 0,
          cleanup_min: Work::Hours.cleanup(wet.step), inserted: true, under: [], mates: [], under_faces: {},
          abraded_by: {}, after_day: nil, tools: [],
          needs: [ Precedence.new(pass: wet.index, milestone: "wipe_off_earliest").freeze ],
          hard: HardWindow.new(kind: "wipe_off", lower: wet.index, closes: "wipe_off_latest").freeze
        }
        @passes << wet.dup.tap { |pass| changes.each { |member, value| pass[member] = value } }
      end

      def needs(pass, later)
        (pass.faces.flat_map { |face| own_needs(pass, face, later) } +
          pass.caught.flat_map { |face| state(face).fetch(:film).map { |index| [ index, "dust_safe" ] } } +
          turning(pass))
          .filter_map { |index, name| need(index, name, pass) }.uniq
      end

      def own_needs(pass, face, later)
        before = before(pass, face)
        film = before[:film].flat_map do |index|
          if early = hard_opening(pass, index)
            [ [ index, early ] ]
          else
            milestones(pass, face, later, at(index)).map { |name| [ index, name ] }
          end
        end
        held = before[:wet].select { |index| at(index).work.holds?(pass.kind) }
        film + held.flat_map { |index| over_wet(at(index), pass, face, later).map { |name| [ index, name ] } } +
          (pass.work.idle? ? [] : before[:caught].map { |index| [ index, "dust_safe" ] })
      end

      # A patch of finish is waited for as its film is, putty as a filler; what names no product for so many minutes.
      # @return [Array<String>] milestones
      def over_wet(lower, pass, face, later)
        return [ "dry" ] unless lower.dries_by_sheet?

        spot = Spot.new(lower.kind, lower.product.film?, lower.method, lower.product)
        pass.work.waits(pass.step, spot, coated_later?(face, later))
      end

      # What is on a face before a coat: its parts come one after the other, and each goes on that, not on the first.
      # @return [Hash{Symbol=>Array<Integer>}] :film, :wet and :caught, passes by index
      def before(pass, face)
        state = state(face)
        coat = [ pass.step["id"], pass.coat, pass.kind ]
        state.update(coat: coat, before: state.slice(:film, :wet, :caught)) unless state[:coat] == coat
        state[:before]
      end

      # A face that goes down, or work taken off its hooks, can be handled.
      def turning(pass)
        return [] if pass.work.idle?

        Turns.underneath(@piece, pass.step, pass.faces).flat_map do |face|
          state(face)[:film].map { |index| [ index, "handle" ] }
        end
      end

      # What the next pass on a face waits for.
      # @return [Array<String>]
      def milestones(pass, face, later, lower)
        pass.work.waits(pass.step, lower, coated_later?(face, later))
      end

      def need(index, name, pass)
        lower = at(index)
        return unless overlap?(lower.range, pass.range)

        return Precedence.new(pass: index, milestone: name).freeze unless name == "recoat_opens" && pass.product

        Precedence.new(pass: index, milestone: Materials::Pairs.opens(lower.product, pass.product),
                       pair: Materials::Pairs.wait(lower.product, pass.product)).freeze
      end

      def remember(pass)
        pass.faces.each do |face|
          state = state(face)
          if pass.leaves_something? then lay(pass, state, face)
          elsif pass.dust then state[:film].each { |index| (state[:abraded][index] ||= []) << pass.index }
          end
          next if pass.work.idle?

          state[:wet] = state[:wet].reject { |index| at(index).work.holds?(pass.kind) }
          state[:wet] << pass.index if pass.work.wet(pass.step) || (pass.dries_by_sheet? && !pass.leaves_something?)
          state[:caught] = []
        end
        pass.caught.each { |face| state(face)[:caught] += [ pass.index ] }
      end

      def state(face) = @on_face.fetch(face)

      def at(index) = @passes[index - @first_index]

      def lay(pass, state, face)
        earlier_parts = state[:film].select { |index| same_coat?(at(index), pass) }
        before(pass, face)[:film].select { |index| overlap?(at(index).range, pass.range) && at(index).film? }
          .each { |index| meet(pass, state, index, face) }
        stack(pass, state, earlier_parts)
        # Wax lies on a film, which goes on hardening under it.
        state[:film] = (pass.work.covers? ? earlier_parts : state[:film]) + [ pass.index ]
      end

      # Each face of its own: what was sanded on one is not sanded on another.
      def meet(pass, state, index, face)
        pass.under |= [ index ]
        (pass.under_faces[index] ||= []) << face
        (pass.abraded_by[index] ||= []) << (state[:abraded][index] || [])
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

      def finish
        last = @on_face.each_value.flat_map { |state| state[:film] }
        @passes.each do |pass|
          pass.last_on_faces = last.include?(pass.index)
          pass.signature = Expansion.same_signature(
            [ pass.work.wet(pass.step) || pass.product&.id, pass.method, pass.wet_um, pass.stack_dry_um,
              pass.dry_room, pass.step["hardener_parts"] ].freeze
          )
          pass.freeze
        end
      end

      def same_coat?(one, other) = one.step["id"] == other.step["id"] && one.coat == other.coat

      def overlap?(one, other) = one.begin <= other.max && other.begin <= one.max

      def coated_later?(face, later)
        later.any? do |step|
          work(step).covers? && (step["faces"].nil? || step["faces"].include?(face))
        end
      end
    end
  end
end
