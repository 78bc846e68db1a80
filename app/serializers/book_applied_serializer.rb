# What a recipe would be for a piece, beside what the piece has now.
class BookAppliedSerializer < ApplicationSerializer
  typelize differences: "string[]", replaces: "number", steps: "string[]", to_buy: "string[]", differs: "string[]",
           products: "Array<{ id: string; name: string; here: string | null; " \
                     "offers: Array<{ id: string; name: string }> }>",
           now: "Side | null", made: "Side"
  attribute(:differences) { |applied| applied.application.differences }
  attribute(:replaces) { |applied| applied.now.document["steps"].size }
  attribute(:to_buy) { |applied| applied.application.missing.map { |one| one["name"] } }
  attribute(:steps) do |applied|
    names = applied.made.plan.shop.products
    applied.application.document["steps"].map do |step|
      Rhexon::Schedule::Words.step(step, names[step["product"]]&.name)
    end
  end
  attribute(:products) do |applied|
    applied.application.matches.map do |match|
      offers = applied.application.offers(match.there).map { |one| { id: one.id, name: one.name } }
      { id: match.there["id"], name: match.there["name"], here: match.here&.id, offers: offers }
    end
  end
  attribute(:differs) do |applied|
    next [] if applied.now.document["steps"].empty?

    Rhexon::Compare::Differences.for(applied.now, applied.made, currency: Shop.current.currency)
  end
  attribute(:now) { |applied| SideSerializer.alone(applied.now) if applied.now.document["steps"].any? }
  attribute(:made) { |applied| SideSerializer.alone(applied.made) }
end
