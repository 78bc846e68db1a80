# The password is given once more, for what is the owner's.
class ConfirmationsController < ApplicationController
  takes :create, password: :name

  def show = render(inertia: "Confirm", props: { to: to, name: Current.person.name })

  def create
    Rhexon.refuse_unless(Current.session.confirm!(body["password"]), "That is not your password", where: "password")
    AuditLine.note!("confirmed", person: Current.person)
    render json: { confirmed: true }
  end

  private

  # Only pages of the shop are gone on to.
  def to = query(:to).to_s.then { |path| path.match?(%r{\A/(?![/\\])[^\s\\]*\z}) ? path : "/shop" }
end
