require "rotp"

# A second step beside the password: six digits from an authenticator app (TOTP, RFC 6238, 30 s, SHA-1 as the apps have
# it). Digits are good once.
class Person::SecondStep
  # The clocks of phone and shop may be this far apart, seconds.
  DRIFT_S = 30
  # So long a secret that was shown may be taken up.
  OFFERED = 10.minutes

  # @param person [Person]
  def initialize(person)
    @person = person
  end

  # @return [Hash] secret to be typed, its square code, and what brings it back
  def offer
    secret = ROTP::Base32.random
    { secret: secret, code: Printed::Code.new(totp(secret).provisioning_uri(@person.name)).svg,
      offered: verifier.generate([ @person.id, secret ], expires_in: OFFERED) }
  end

  # @param offered [String] of the offer
  # @param digits [String]
  # @raise [Rhexon::InvalidInput]
  def take_up!(offered, digits)
    id, secret = verifier.verified(offered.to_s)
    Rhexon.refuse_unless(id == @person.id, "That was shown too long ago: begin again", where: "second")
    at = totp(secret).verify(digits.to_s.delete("^0-9"), drift_behind: DRIFT_S, drift_ahead: DRIFT_S)
    Rhexon.refuse_unless(at, "Those are not the digits of the app now", where: "second",
                         accepted: "the six digits it shows")
    @person.update!(second_secret: secret, second_used_at: at)
  end

  def drop! = @person.update!(second_secret: nil, second_used_at: nil)

  # @param digits [String]
  # @return [Boolean] whether they are right, and were not used before
  # @raise [Tries::Held]
  def passed?(digits)
    Tries.new(@person, "second_refused").once do
      at = totp(@person.second_secret).verify(digits.to_s.delete("^0-9"), after: @person.second_used_at,
                                              drift_behind: DRIFT_S, drift_ahead: DRIFT_S)
      at && @person.update!(second_used_at: at)
    end
  end

  private

  def totp(secret) = ROTP::TOTP.new(secret, issuer: "Rhexon, #{Shop.current.name}")
  def verifier = Rails.application.message_verifier("second step")
end
