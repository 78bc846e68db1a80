require "date"
require "tzinfo"

module Rhexon
  # The shop's time zone. The core counts whole minutes since 1970 in UTC; zones only expand calendars and print.
  class Zone
    INSTANT = /\A(\d{4})-(\d\d)-(\d\d)T(\d\d):(\d\d)(?::\d\d(?:\.\d+)?)?(?:Z|([+-])(0\d|1[0-4]):?([0-5]\d))\z/

    attr_reader :name

    # @param name [String] an IANA zone, e.g. "Europe/Berlin"
    # @raise [InvalidInput] when the zone is not known
    def initialize(name)
      @name = name
      @zone = TZInfo::Timezone.get(name)
      @offsets = {}
    rescue TZInfo::InvalidTimezoneIdentifier
      raise InvalidInput.new(
        "The time zone #{name} is not known", where: "zone", accepted: "an IANA zone such as Europe/Berlin"
      )
    end

    # @param text [String] ISO 8601 with offset
    # @return [Integer] minutes; seconds are cut off
    # @raise [InvalidInput]
    def self.minute(text, where: "")
      match = INSTANT.match(text.to_s)
      year, month, day, hour, minute = match&.captures&.first(5)&.map(&:to_i)
      if match && Date.valid_civil?(year, month, day) && hour < 24 && minute < 60
        return Time.utc(year, month, day, hour, minute).to_i / 60 - offset_of(match)
      end

      raise InvalidInput.new(
        "#{text.inspect} is not a time", where: where,
        accepted: "ISO 8601 with an offset, such as 2026-11-25T10:30+01:00"
      )
    end

    # @return [Boolean] whether it is written as an instant; what it says may still be none
    def self.written?(text) = text.is_a?(String) && INSTANT.match?(text)

    # @raise [InvalidInput] when a minute is more than ten years from now
    def self.near!(minute, now, where)
      return if near?(minute, now)

      years = Reference.hands.years_from_now
      raise InvalidInput.new("#{Time.at(minute * 60).utc.strftime("%Y-%m-%d")} is more than #{years} years from now",
                             where: where, accepted: "a date within #{years} years")
    end

    # @return [Boolean] no more than ten years from now, either way
    def self.near?(minute, now) = (minute - now).abs <= Reference.hands.years_from_now * 366 * 1440

    def self.offset_of(match)
      sign, hours, minutes = match.captures.last(3)
      if sign
        (hours.to_i * 60 + minutes.to_i) * (sign == "-" ? -1 : 1)
      else
        0
      end
    end
    private_class_method :offset_of

    # @return [String, nil] ISO 8601 with the offset in force, to the minute
    def iso(minute)
      return nil unless minute

      seconds = offset(minute)
      sign = seconds.negative? ? "-" : "+"
      Time.at(minute * 60 + seconds).utc.strftime("%Y-%m-%dT%H:%M#{sign}") +
        format("%02d:%02d", *(seconds.abs / 60).divmod(60))
    end

    # @return [String] "Wed 25 Nov 10:30", local
    def label(minute) = Time.at(minute * 60 + offset(minute)).utc.strftime("%a %-d %b %H:%M")

    # @return [Integer] number of the local day; consecutive days count up by one
    def day(minute) = (minute + offset(minute) / 60) / 1440

    # @return [Integer] minute at which the local day of a minute ends
    def end_of_day(minute) = at(date(minute) + 1, "00:00")

    # @return [Date] local date
    def date(minute) = Time.at(minute * 60 + offset(minute)).utc.to_date

    # @param date [Date]
    # @param clock [String] "07:30"; "24:00" is the end of the day
    # @return [Integer] minute in UTC. A clock time that summer time skips moves to the first minute after the gap;
    #   one that comes twice is the first.
    def at(date, clock)
      hours, minutes = clock.split(":").map(&:to_i)
      local = Time.utc(date.year, date.month, date.day) + hours * 3600 + minutes * 60
      @zone.local_to_utc(local) { |periods| periods.min_by { |period| -period.observed_utc_offset } }.to_i / 60
    rescue TZInfo::PeriodNotFound
      after_gap(local)
    end

    private

    # The change that skips a clock time, however long the gap: the last one before the same clock time of the
    # period that follows.
    def after_gap(local)
      late = @zone.period_for(Time.at(local.to_i + 86_400).utc)
      change = [ late, @zone.period_for(Time.at(local.to_i - late.observed_utc_offset).utc) ]
        .filter_map(&:start_transition)
        .map { |transition| transition.at.to_i }
      change.select { |seconds| (seconds - local.to_i).abs <= 86_400 }
        .min_by { |seconds| (seconds + late.observed_utc_offset - local.to_i).abs }
        .then { |seconds| (seconds || local.to_i - late.observed_utc_offset) / 60 }
    end

    # Offsets are asked for once an hour of UTC, since no zone in force changes inside one.
    def offset(minute)
      @offsets[minute / 15] ||= @zone.period_for(Time.at(minute / 15 * 900).utc).observed_utc_offset
    end
  end
end
