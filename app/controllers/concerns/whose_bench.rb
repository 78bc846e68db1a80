# Whose bench a device shows: kept on the device as a cookie, so that its page has one address.
module WhoseBench
  private

  # @return [String, nil] nil: everybody's
  def hands = cookies[:rhexon_hands].then { |name| name if Given.text?(name, Given::NAME) }
end
