# How somebody gets in and what they may do: the owner's to give and to take.
class Shops::AccountsController < ApplicationController
  include OfShop

  takes :update, role: :name, password: :name, code: :name

  def update
    given = { role: body["role"], password: body["password"], code: body["code"] }.compact_blank
    Person.transaction do
      person.assign_attributes(given)
      keep_an_owner!(person) { person.owner? }
      person.save!
      person.end_everywhere!(but: Current.session) if given.key?(:password) || given.key?(:code)
    end
    given.each { |kind, value| AuditLine.note!(kind.to_s, person: person, **(kind == :role ? { role: value } : {})) }
    answer
  end

  # Nobody is signed in by this name any more, and nobody signs in by it until it has a new password.
  def destroy
    Person.transaction do
      keep_an_owner!(person) { false }
      person.update!(password_digest: nil, code_digest: nil)
      person.end_everywhere!
    end
    AuditLine.note!("account_removed", person: person)
    answer
  end

  private

  def person = @person ||= Person.find(params[:person_id])

  # @yieldreturn [Boolean] whether this one still is one
  def keep_an_owner!(person)
    return if yield || Person.owners.able_to_sign_in.where.not(id: person.id).any? || !person.role_was.eql?("owner")

    raise Rhexon::InvalidInput.new("Somebody has to own the shop: make another one the owner first", where: "role")
  end
end
