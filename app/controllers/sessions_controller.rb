# Signing in and out, by name and password.
class SessionsController < ApplicationController
  takes :create, name: :name, password: :name, second: :name, to: :words

  # Guesses: from one device at all names, from one at one name, and from all devices at one name.
  at_most 40, within: 5.minutes, by: :address, only: :create
  at_most 8, within: 5.minutes, by: :address_and_name, only: :create
  at_most 60, within: 1.hour, by: :guessed_name, only: :create

  def show
    return redirect_to(first_owner_path) unless Person.owned? || demo?
    return redirect_to("/bench") if Current.session

    render inertia: "SignIn", props: { to: home(query(:to)), demo: demo? ? demo_people : nil }
  end

  def create
    person = demo_person || Person.authenticate_by(name: body["name"].to_s.strip, password: body["password"].to_s)
    unless person
      known = Person.find_by(name: body["name"].to_s.strip)
      AuditLine.note!("sign_in_refused", person: known, name: body["name"].to_s.first(80))
      raise Rhexon::InvalidInput.new("Name and password do not belong together. Whoever has forgotten it asks the " \
                                     "owner for a new one, or sets it on the shop's computer", where: "password")
    end

    return ask_second unless passed?(person)

    reset_session
    sign_in!(person)
    render json: { location: home(body["to"]) }
  end

  def destroy
    AuditLine.note!("signed_out", person: Current.session.person) if Current.session
    Current.session&.destroy!
    cookies.delete(cookie_name, path: "/")
    cookies[SignsIn::LEFT] = { value: "1", httponly: true, same_site: :lax } if demo?
    reset_session
    render json: { location: sign_in_path }
  end

  private

  def passed?(person)
    return true unless person.second_step? && body["password"].present?

    body["second"].present? && Person::SecondStep.new(person).passed?(body["second"])
  end

  # The password was right; it is asked for with the digits.
  def ask_second
    wrong = body["second"].present?
    tell({ sentence: wrong ? "Those are not the digits of the app now." : "Now the six digits from your app.",
           where: "second" }, :unprocessable_entity)
  end

  # Only pages of the shop are gone on to.
  def home(path) = path.to_s.match?(%r{\A/(?![/\\])[^\s\\]*\z}) && path != sign_in_path ? path : "/bench"

  def demo_people = Person.order(:id).map { |person| { name: person.name, role: person.role } }

  # In the demo, on its own machine, everybody may be tried without a password.
  def demo_person = (Person.find_by(name: body["name"]) if demo? && body["password"].blank?)

  def address = request.remote_ip
  def guessed_name = body["name"].to_s.strip.downcase
  def address_and_name = "#{address}-#{guessed_name}"
end
