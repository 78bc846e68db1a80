# A second step beside one's own password: set up, taken up and dropped.
class People::SecondStepsController < ApplicationController
  takes :update, offered: :words, second: :name
  takes :destroy, now: :name

  at_most 20, within: 10.minutes

  def create
    Rhexon.refuse_unless(mine.signs_in?, "A second step stands beside a password", where: "second")
    render json: step.offer
  end

  def update
    step.take_up!(body["offered"], body["second"])
    AuditLine.note!("second_step", person: mine)
    render json: { second_step: true }
  end

  def destroy
    right = Tries.new(mine, "confirm_refused").once { mine.authenticate(body["now"].to_s) }
    Rhexon.refuse_unless(right, "That is not your password of today", where: "now")
    step.drop!
    AuditLine.note!("second_dropped", person: mine)
    render json: { second_step: false }
  end

  private

  # Whoever took the device over by a code has given no password.
  def mine
    Rhexon.refuse_unless(Current.session.hands.nil?, "Sign in with your password for that", where: "second")
    Current.session.person
  end

  def step = Person::SecondStep.new(mine)
end
