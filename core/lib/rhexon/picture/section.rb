module Rhexon
  module Picture
    # The film of one face over the clock, ready to draw: for each layer the line of its top from the moment it is laid.
    class Section
      # @!attribute top [Array<Array(Integer, Float)>] [minute, µm above the wood], times rising
      # @!attribute strip [Array<Strip::Stretch>]
      # @!attribute unbonded [Boolean] it went on a film that was shut: it will not bite
      # @!attribute laid_by [String] the method, whose texture it shows
      # @!attribute texture_um [Float] height of that texture, peak to valley
      # @!attribute smooth_at [Integer, nil] minute from which an abrasive has taken the texture away
      Layer = Struct.new(:pass, :step, :number, :label, :look, :base_um, :wet_um, :dry_um, :left_um, :laid_at,
                         :touch_at, :top, :strip, :unbonded, :laid_by, :texture_um, :smooth_at, keyword_init: true)
      # @!attribute in_wood [Boolean] it got there; else it lies on a film
      Stain = Struct.new(:pass, :step, :number, :label, :at, :strip, :in_wood, keyword_init: true)
      # The open pores of the wood: how deep they are, and from which minute how much of that depth is filled.
      # @!attribute filled [Array<Array(Integer, Float)>] [minute, µm], times rising; none before the first
      Pores = Struct.new(:depth_um, :filled, keyword_init: true)
      Abrasion = Struct.new(:pass, :step, :number, :from, :to, :before_um, :after_um, :inserted, keyword_init: true)

      NEVER_MIN = 30 * 1440
      # What was found is drawn from so long before the first work.
      LEAD_MIN = 60

      attr_reader :face, :wood, :layers, :stains, :abrasions, :pores, :least_um

      # @param plan [Planning::Plan]
      # @param numbers [Hash{String=>Integer}] step id => number on the list
      def initialize(plan, piece_id, face, numbers)
        @plan = plan
        @face = face
        @numbers = numbers
        piece = plan.piece(piece_id)
        @wood = piece.wood(face)
        @walk = plan.film(piece_id, face)
        @from = began(piece_id)
        @found = @walk.bare.layers.size
        @layers = found_layers + coats.map.with_index(@found) { |snapshot, index| layer(snapshot, index) }
        @stains = coloured.map { |snapshot| stain(snapshot) }
        @abrasions = rubbed.map { |snapshot| abrasion(snapshot) }
        @pores = pores_of(@walk)
        @least_um = Film::MinimumThickness.um(piece.use, @walk.final) if @walk.last_coat
      end

      def film_um = @walk.final.total_um.round(3)
      def sd_um = @walk.final.sd_um.round(3)

      private

      def coloured = @walk.snapshots.select { |snapshot| colours?(snapshot.placement.pass) }
      def rubbed = @walk.snapshots.select { |snapshot| snapshot.removed_um.positive? }
      def coats = @walk.snapshots.select { |snapshot| snapshot.placement.pass.film? }

      # Goes into the wood and leaves no film: drawn as what lies in it.
      def colours?(pass) = %w[stain oil].include?(pass.kind)

      def layer(snapshot, index)
        placement = snapshot.placement
        laid = snapshot.after.layers[index]
        pass = placement.pass
        Layer.new(
          pass: pass.key, step: pass.step["id"], number: @numbers[pass.step["id"]], label: label(pass),
          look: look(pass), base_um: snapshot.before.total_um.round(1),
          wet_um: wet_on_surface(snapshot, laid).round(1), dry_um: laid.laid_um.round(1),
          left_um: @walk.final.layers[index].um.round(1), laid_at: placement.work_end,
          touch_at: placement.work_end + touch(placement), top: top(snapshot, index),
          strip: Strip.for(placement, @plan), unbonded: placement.window&.state == "over",
          **texture(snapshot)
        )
      end

      # What was on the face before the first step lies there from the beginning of the drawing.
      def found_layers
        @walk.bare.layers.map.with_index do |found, index|
          um = found.um.round(1)
          Layer.new(
            pass: found.pass, step: found.pass, number: 0, label: "as found", look: "found", base_um: 0.0, wet_um: um,
            dry_um: um, left_um: @walk.final.layers[index].um.round(1), laid_at: @from, touch_at: @from,
            top: thin_out([ [ @from, um ] ] + lowered(@walk.snapshots, index)), strip: [], unbonded: false,
            laid_by: "brush", texture_um: @walk.bare.texture_um, smooth_at: smoothed(@walk.snapshots)
          )
        end
      end

      def began(piece_id) = (@plan.of_piece(piece_id).first&.hands_start || @plan.shop.now) - LEAD_MIN

      def texture(snapshot)
        { laid_by: snapshot.placement.pass.method, texture_um: snapshot.after.texture_um,
          smooth_at: smooth_at(snapshot) }
      end

      def label(pass)
        name = pass.work.layer_name(pass.step)
        (pass.step["coats"] || 1) > 1 ? "#{name.sub("Top coat", "Coat")} #{pass.coat}" : name
      end

      # How the layer looks: sealers of shellac are resin, pigmented films hide, tinted ones colour.
      def look(pass)
        return pass.product.colour if %w[pigmented tinted].include?(pass.product.colour)
        return "tinted" if pass.step.key?("tint")

        pass.product.class_id == "shellac" || pass.product.colour == "ambering" ? "amber" : "clear"
      end

      # A film that never dries in this air is drawn wet for a month.
      def touch(placement) = [ placement.milestones["touch"]&.minutes || 30, NEVER_MIN ].min.ceil

      def progress(placement)
        touch = touch(placement)
        milestone = placement.milestones["touch"]
        if placement.milestones.line.steady? || milestone.nil? || touch >= NEVER_MIN
          return ->(share) { placement.work_end + share * touch }
        end

        ->(share) {
          placement.milestones.reached(milestone.phase, milestone.needed * share) ||
            placement.work_end + share * touch
        }
      end

      # The share that stays on the surface is the same wet as dry.
      def wet_on_surface(snapshot, laid)
        pass = snapshot.placement.pass
        laid.laid_um * 100.0 / pass.solids_percent
      end

      def top(snapshot, index)
        placement = snapshot.placement
        laid = snapshot.after.layers[index]
        base = snapshot.before.total_um
        rise = [ [ placement.work_start, base.round(1) ] ]
        curve = Film::Curve
          .points(placement.work_end, progress(placement), wet_on_surface(snapshot, laid), laid.laid_um)
          .map { |minute, um| [ minute, (base + um).round(1) ] }
        thin_out(rise + curve + later(snapshot, index))
      end

      # Every later abrasion lowers the top of this layer by what it takes from it and from those below.
      def later(snapshot, index) = lowered(@walk.snapshots.drop(@walk.snapshots.index(snapshot) + 1), index)

      def lowered(after, index)
        after.select { |other| other.removed_um.positive? }.flat_map do |other|
          heights = [ other.before, other.after ].map { |stack| stack.layers.first(index + 1).sum(&:um).round(1) }
          next [] if heights.uniq.size == 1

          [ [ other.placement.work_start, heights.first ], [ other.placement.hands_end, heights.last ] ]
        end
      end

      # Times rise strictly; where an abrasion starts before the curve has flattened, the curve is cut there.
      def thin_out(points)
        points.each_with_object([]) do |point, kept|
          kept.pop while kept.any? && kept.last[0] >= point[0]
          kept << point
        end
      end

      # The texture is gone where an abrasion before the next coat leaves none of it.
      def smooth_at(snapshot)
        smoothed(@walk.snapshots.drop(@walk.snapshots.index(snapshot) + 1))
      end

      def smoothed(later)
        later.take_while { |other| !other.placement.pass.film? }
          .find { |other| other.removed_um.positive? && other.after.texture_um.zero? }&.placement&.hands_end
      end

      def pores_of(walk)
        changes = walk.snapshots.select { |snapshot| snapshot.after.pores_um != snapshot.before.pores_um }
        Pores.new(depth_um: walk.bare.pore_depth_um, filled: changes.map { |snapshot|
          [ snapshot.placement.work_end, snapshot.after.pores_um.round(1) ]
        })
      end

      def stain(snapshot)
        pass = snapshot.placement.pass
        Stain.new(pass: pass.key, step: pass.step["id"], number: @numbers[pass.step["id"]], label: pass.product.name,
                  at: snapshot.placement.work_end, strip: Strip.for(snapshot.placement, @plan),
                  in_wood: Work::Soaking.kept_out_by(snapshot.before, pass.product, @plan.shop.products).nil?)
      end

      def abrasion(snapshot)
        placement = snapshot.placement
        Abrasion.new(
          pass: placement.pass.key, step: placement.pass.step["id"], number: @numbers[placement.pass.step["id"]],
          from: placement.work_start, to: placement.hands_end, before_um: snapshot.before.total_um.round(1),
          after_um: snapshot.after.total_um.round(1), inserted: placement.pass.inserted
        )
      end
    end
  end
end
