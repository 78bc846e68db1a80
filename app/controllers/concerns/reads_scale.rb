# The bench scale, real or stand-in; one that is silent says so.
module ReadsScale
  extend ActiveSupport::Concern

  included { rescue_from Devices::Scale::Silent, with: :silent }

  private

  def scale = Devices.scale
  def now = @now ||= Time.current
  def silent(error) = render(json: { silent: error.message })

  def answer
    reading = scale.reading(now: now)
    age = now - reading.at
    if age > Devices::Scale::STALE_S
      return render json: { silent: "The scale has said nothing new for #{age.round} s." }
    end

    render json: { grams: reading.grams, stable: reading.stable }
  end
end
