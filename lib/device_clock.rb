# How far the clock of a device is off the shop's: a page sends what its clock says with everything it sends, so that
# what was touched on a tablet that is five minutes fast, or stands in 1970, is taken down at its time all the same.
class DeviceClock
  HEADER = "X-Device-Time".freeze
  # What a request takes on its way is no fault of the clock.
  NEAR = 60.seconds

  # @param request [ActionDispatch::Request]
  def self.of(request, now: Time.current) = new(request.headers[HEADER], now)

  # @param said [String, nil] ISO 8601; nil: nothing is known of it
  # @param now [Time] of the shop
  def initialize(said, now)
    @off = said ? now - Time.iso8601(said) : 0
  rescue ArgumentError
    @off = 0
  end

  # @param at [Time] by the device's clock
  # @return [Time] by the shop's
  def right(at) = @off.abs < NEAR ? at : at + @off
end
