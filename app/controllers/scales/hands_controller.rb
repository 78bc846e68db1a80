# The hand that pours on a stand-in.
class Scales::HandsController < ApplicationController
  include ReadsScale

  takes :create, act: :name, g_per_s: :number, grams: :number, fault: :name

  def create
    hand = scale.hand or raise Rhexon::InvalidInput.new("A real scale is read, not poured on from here", where: "hand")
    case body["act"]
    when "pour" then hand.pour(number("g_per_s"), now: now)
    when "stop" then hand.stop(now: now)
    when "put" then hand.put(number("grams"), now: now)
    when "clear" then hand.clear(now: now)
    when "fault" then hand.fault = body["fault"].to_s
    else raise Rhexon::InvalidInput.new(
      "The hand cannot do that", where: "act", accepted: "pour, stop, put, clear, fault"
    )
    end
    render json: { done: true }
  end

  private

  def number(name)
    if body[name].is_a?(Numeric) && body[name].abs <= 10_000
      body[name]
    else
      raise(
        Rhexon::InvalidInput.new("#{body[name].inspect} is no amount", where: name, accepted: "a number up to 10 000")
      )
    end
  end
end
