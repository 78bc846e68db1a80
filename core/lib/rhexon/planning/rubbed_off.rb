module Rhexon
  module Planning
    # What the hands of this shop rub off a film, by the kind of work ("level/between", "scuff"): between two readings
    # of the film gauge with nothing but that work between them.
    module RubbedOff
      GAUGE = "film".freeze

      module_function

      # @param pass [Pass]
      # @return [String] "level/between", "scuff"
      def way(pass) = [ pass.kind, pass.step["aim"] ].compact.join("/")

      # @param shop [Shop] whose log is read; its own figures are left aside
      # @param logged [Array<Placement>] what the log has fixed
      # @return [Array<OwnShare::Observation>] in the order they were done
      def observations(shop, logged = ActualWork.of(shop).all)
        done = logged.select { |one| one.status == "done" }.group_by { |one| one.pass.piece }
        done.flat_map { |piece, mine| of_piece(shop, piece, mine) }.sort_by { |one| [ one.at, one.way ] }
      end

      def of_piece(shop, piece, placements)
        gauges = placements.select { |one| gauge?(one.pass) && readings(shop, one) }.sort_by(&:hands_end)
        gauges.each_cons(2).filter_map do |first, second|
          between = placements.select { |one|
            one.hands_start >= first.hands_end && one.hands_end <= second.hands_start
          }
          rubbed(shop, piece, placements, [ first, second ], between.reject { |one| gauge?(one.pass) })
        end
      end

      # One kind of work alone, on the faces of both readings, of whose step nobody says what it takes off.
      def rubbed(shop, piece, placements, gauges, between)
        ways = between.map { |one| way(one.pass) }.uniq
        plain = between.all? { |one| one.pass.abrasion? && one.pass.step["removes_um"].nil? }
        face = gauges.map { |one| one.pass.faces }.reduce(:&).first
        return unless ways.one? && plain && face

        walk = Work::Walk.new(placements.sort_by { |one| one.pass.index || -1 }, piece, face, shop.products)
        before, after = gauges.map { |one| mean(readings(shop, one)) }
        OwnShare.observed(ways.first, before - after, taken(walk, between), between.last.hands_end)
      end

      # @return [Float] µm by the figures that are taken otherwise
      def taken(walk, abrasions)
        abrasions.sum { |one| (walk.at(one.pass.key)&.removed_um || 0) / (one.pass.rubs || 1) }
      end

      def mean(read) = read.sum / read.size.to_f
      def gauge?(pass) = pass.kind == "measure" && pass.step["way"] == GAUGE
      def readings(shop, placement) = shop.facts[placement.pass.key]&.readings

      private_class_method :of_piece, :rubbed, :taken, :mean, :gauge?, :readings
    end
  end
end
