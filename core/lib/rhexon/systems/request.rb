module Rhexon
  module Systems
    # A wish for a piece of a shop, as JSON, and what is proposed.
    module Request
      module_function

      # @param json [Hash] {"shop": rhexon-shop/1, "piece": id (left out: the only one), "wish": rhexon-wish/1}
      # @return [Hash] rhexon-proposals/1
      # @raise [InvalidInput]
      def propose(json)
        Rhexon.refuse_unless(json["shop"].is_a?(Hash), "A wish is for a piece of a shop", where: "shop",
                             accepted: "rhexon-shop/1")
        shop = Planning::Shop.new(json["shop"])
        id = json["piece"] || (shop.pieces.first.id if shop.pieces.size == 1)
        answer = Engine.new(shop, id, json["wish"] || {}).answer
        {
          "format" => "rhexon-proposals/1", "piece" => id, "late" => answer.late,
          "proposals" => answer.proposals.map { |one| proposal(one, answer.ranking, shop.zone) },
          "remarks" => answer.remarks,
          "fallen" => answer.fallen.map { |one| { "system" => one.system.id, "reason" => one.reason } }
        }
      end

      def proposal(one, ranking, zone)
        {
          **first(one, ranking), "score" => ranking.score(one).round(3),
          "ready_at" => zone.iso(one.ready_at), "hands_min" => one.hands_min, "coats" => one.coats,
          "film_um" => one.film_um, "sheen_gu" => one.sheen_gu, "pores" => one.pores,
          "lab" => one.look&.lab&.map { |value| value.round(1) }, "litres" => one.litres.round(3),
          "cost" => one.cost&.round(2), "voc_g" => one.voc_g&.round(1), "odour" => one.odour, "skill" => one.skill,
          "repair" => one.repair, "bears" => one.bears, "lacks" => one.lacks,
          "renewed_after_months" => one.renewed_after_months, "to_buy" => one.bought.map(&:name),
          "findings" => one.findings.map { |finding| { "id" => finding.id, "level" => finding.level } },
          "schedule" => one.document
        }
      end

      def first(one, ranking)
        { "system" => one.id, "name" => one.name, "because" => one.because(ranking.wish) }
      end
      private_class_method :proposal, :first
    end
  end
end
