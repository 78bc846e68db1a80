# A shop that nobody owns yet, as one of before people signed in: whoever runs it says so first.
class FirstOwnersController < ApplicationController
  takes :create, name: :name, password: :name, code: :name

  at_most 20, within: 5.minutes, only: :create

  def show
    return redirect_to("/bench") if Person.owned?

    Shop::FirstOwner.announce! unless demo? || Shop::FirstOwner.file.exist?
    render inertia: "FirstOwner", props: { people: Person.order(:id).pluck(:name),
                                            file: "storage/#{Shop::FirstOwner.file.basename}" }
  end

  def create
    owner = Shop::FirstOwner.new(body["name"], body["password"], body["code"]).set!
    reset_session
    sign_in!(owner)
    render json: { location: "/bench" }
  end
end
