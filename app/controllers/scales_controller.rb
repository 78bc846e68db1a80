# The bench scale, real or stand-in.
class ScalesController < ApplicationController
  rescue_from Devices::Scale::Silent, with: :silent
  takes :hand, act: :name, g_per_s: :number, grams: :number, fault: :name

  def show
    reading = scale.reading(now: now)
    age = now - reading.at
    if age > Devices::Scale::STALE_S
      return render json: { silent: "The scale has said nothing new for #{age.round} s." }
    end

    render json: { grams: reading.grams, stable: reading.stable }
  end

  def zero
    scale.zero(now: now)
    show
  end

  # The hand that pours on a stand-in.
  def hand
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

  def scale = Devices.scale
  def now = @now ||= Time.current
  def silent(error) = render(json: { silent: error.message })

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
