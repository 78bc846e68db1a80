# Which people have signed in on a device, told by a signed cookie of its own, so that a sign-in from anywhere else can
# be told to whoever is signed in already. It outlives sessions and lets nobody in.
module KnowsDevice
  KNOWN = :rhexon_known
  MOST = 60
  private_constant :KNOWN, :MOST

  private

  # @param person [Person] who signs in
  # @return [Boolean] whether they never did on this device; known from now on
  def new_device?(person)
    known = cookies.signed[KNOWN].to_s.split
    id = person.id.to_s
    cookies.signed[KNOWN] = { value: [ *(known - [ id ]), id ].last(MOST).join(" "), httponly: true, same_site: :lax,
                              secure: request.ssl?, expires: 2.years }
    known.exclude?(id)
  end
end
