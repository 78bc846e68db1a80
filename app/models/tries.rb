# How long somebody's secret is not asked for any more after it was given wrong. Counted by the person it belongs to,
# from whatever device: five are free in a day, then each waits twice as long as the one before. That is eleven a day,
# so that the ten thousand codes of four digits take two and a half years.
class Tries
  FREE = 5
  WITHIN = 24.hours
  FIRST = 15.minutes

  # It may not be tried just now.
  class Held < Rhexon::InvalidInput; end

  # @param person [Person] whose secret it is
  # @param kind [String] of AuditLine::REFUSED
  def initialize(person, kind, now: Time.current)
    @person = person
    @kind = kind
    @now = now
  end

  # @yieldreturn [Boolean] whether the secret was right
  # @return [Boolean]
  # @raise [Held]
  def once
    held = held_until
    if held && held > @now
      raise Held.new("Too many wrong codes or passwords for #{@person.name}", where: "code",
                     accepted: "another try after #{Shop.current.clock.label(held.to_i / 60)}")
    end
    return true if yield

    # Where it cannot be counted it is not tried.
    AuditLine.note!(@kind, person: @person) or raise Held.new("That cannot be checked just now", where: "code")
    false
  end

  # @return [Time, nil]
  def held_until
    times = AuditLine.where(kind: @kind, person: @person, at: (@now - WITHIN)..).order(:at).pluck(:at)
    times.last + FIRST * (2**(times.size - FREE)) if times.size >= FREE
  end
end
