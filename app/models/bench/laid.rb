# What is taken down while a coat is laid: comb, pot before and after, how the gun was set, how warm the work was.
class Bench::Laid
  COMB = { most: 20, um: 0..3000 }.freeze
  POT_G = (0..1_000_000)
  SURFACE_C = (-20..80)
  EFFLUX_S = (5..600)
  GUN = { "tip_mm" => 0.1..10, "bar" => 0.01..500, "passes" => 1..50 }.freeze

  # @param body [Hash] any of "comb_um", "pot_g", "gun", "surface_c"
  def initialize(body)
    @body = body
  end

  # @return [Hash] body of the entry
  # @raise [Rhexon::InvalidInput]
  def details
    taken = { "comb_um" => comb, "pot_g" => pot, "gun" => gun, "surface_c" => surface,
              "efflux_s" => efflux }.compact
    Rhexon.refuse_unless(taken.any?, "Nothing was measured", where: "comb_um",
                                                             accepted: "comb_um, pot_g, gun, surface_c or efflux_s")
    taken
  end

  private

  def comb
    read = @body["comb_um"] or return
    known = read.size.between?(1, COMB[:most]) && read.all? { |um| number?(um, COMB[:um]) && um.positive? }
    Rhexon.refuse_unless(known, "A comb reads films of more than 0 and at most #{COMB[:um].end} µm", where: "comb_um",
                         accepted: "up to #{COMB[:most]} of them")
    read
  end

  def pot
    weighed = @body["pot_g"] or return
    before, after = weighed
    known = weighed.size == 2 && weighed.all? { |g| number?(g, POT_G) } && after < before
    Rhexon.refuse_unless(known, "The pot is heavier before than after", where: "pot_g", accepted: "two weights in g")
    weighed
  end

  def gun
    set = @body["gun"] or return
    known = set.is_a?(Hash) && set.any? && set.all? { |name, value| GUN.key?(name) && number?(value, GUN[name]) }
    Rhexon.refuse_unless(known, "A gun is set by tip, pressure and passes", where: "gun",
                         accepted: "tip_mm #{GUN["tip_mm"]}, bar #{GUN["bar"]}, passes #{GUN["passes"]}")
    set
  end

  def surface
    value = @body["surface_c"] or return
    Rhexon.refuse_unless(number?(value, SURFACE_C), "#{value.inspect} is no temperature of a surface",
                         where: "surface_c", accepted: "#{SURFACE_C.begin} to #{SURFACE_C.end} °C")
    value
  end

  def efflux
    value = @body["efflux_s"] or return
    Rhexon.refuse_unless(number?(value, EFFLUX_S), "#{value.inspect} s is no time through a cup", where: "efflux_s",
                         accepted: "#{EFFLUX_S.begin} to #{EFFLUX_S.end} s")
    value
  end

  def number?(value, range) = value.is_a?(Numeric) && range.cover?(value)
end
