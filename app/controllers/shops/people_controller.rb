# Somebody new, or what somebody may do and whether the plan counts on them.
class Shops::PeopleController < ApplicationController
  include OfShop

  keeps_sound :create
  takes :create, id: :whole, name: :name, at_bench: :flag, own_pieces_only: :flag, skills: :names

  def create
    person = body["id"].present? ? Person.find(body["id"]) : Person.new
    person.assign_attributes({ **body.slice("name", "at_bench", "own_pieces_only").compact, **body.slice("skills") })
    refuse_empty_bench!(person)
    refuse_renamed!(person)
    fresh = person.new_record?
    keep!(person)
    AuditLine.note!("person", person: person) if fresh && person.persisted?
  end

  private

  def refuse_empty_bench!(person)
    return if person.at_bench || Person.at_bench.where.not(id: person.id).any?

    raise Rhexon::InvalidInput.new(
      "Somebody has to work at the bench", where: "at_bench", accepted: "at least one person"
    )
  end
end
