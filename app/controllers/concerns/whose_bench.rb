# Whose bench a device shows: of whose hands it is in. Somebody's own place has no address of its own, so that a tablet
# keeps one page. A student sees nothing but their own.
module WhoseBench
  private

  # @return [String, nil] nil: everybody's
  def hands
    return Current.person.name if Current.person.student?

    Current.session.hands&.name
  end
end
