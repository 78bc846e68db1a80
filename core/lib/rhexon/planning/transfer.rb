module Rhexon
  module Planning
    # What of the pot lands on the work in this shop, by how it is laid on ("spray/turbine", "brush").
    module Transfer
      module_function

      # @param method [String, nil]
      # @param gun [String, nil] of core/data/hands.yml
      # @return [String]
      def way(method, gun) = [ method, (gun || "turbine" if method == "spray") ].compact.join("/")

      # @param shop [Shop] whose log is read; its own figures are left aside
      # @param logged [Array<Placement>] what the log has fixed
      # @return [Array<OwnShare::Observation>] in the order they were done: coats with a comb and the pot weighed twice
      def observations(shop, logged = ActualWork.of(shop).all)
        logged.select { |one| one.status == "done" }.filter_map { |one| observation(shop, one) }
              .sort_by { |one| [ one.at, one.way ] }
      end

      def observation(shop, placement)
        pass = placement.pass
        landed = LaidFilm.landed(shop.facts[pass.key], pass, shop.products) or return
        usual = Mixing::Laying.efficiency(pass.method, pass.step["gun"], pass.step["narrow"] == true)
        OwnShare.observed(way(pass.method, pass.step["gun"]), landed, usual, placement.hands_end)
      end
      private_class_method :observation
    end
  end
end
