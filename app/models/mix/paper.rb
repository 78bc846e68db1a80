# A mix on paper, to be poured without a screen: what goes in, in its order, by weight and by volume, the band that is
# accepted, and a line for what really went in.
class Mix::Paper < Printed::Sheet
  # @param pot [Mix::PotState]
  def initialize(pot, **options)
    super(**options)
    @pot = pot
  end

  private

  def title = "Pour sheet: #{@pot.name}"
  def subject = [ "#{grams(@pot.planned_g)}, #{@pot.total_ml.round} ml", @pot.room, *@pot.serves.first(3) ]
  def grams(value) = format("%.#{decimals}f g", value)
  def decimals = if @pot.resolution_g < 0.1
                   2
                 else
                   (@pot.resolution_g < 1 ? 1 : 0)
                 end

  def draw
    running = 0.0
    rows = @pot.pours.map do |pour|
      running += pour.first_g
      [ pour.name, pour.share, grams(pour.first_g), grams(running), "#{pour.ml.round(1)} ml", "" ]
    end
    table([ [ "In this order", "Parts", "By weight", "Scale, not zeroed", "By volume", "Went in" ], *rows ],
          [ nil, 24, 24, 30, 24, 26 ], size: 10)
    life
    steps
    cautions
  end

  def life
    return unless @pot.usable_min

    part("Pot life")
    say("#{duration(@pot.usable_min)} from the moment the hardener is in.", size: 10)
    say("Hardener in at ____________   To be used up by ____________", size: 10)
  end

  def steps
    return if @pot.steps.empty?

    part("How")
    list(@pot.steps.map { |step|
      [ step["do"], (step["min"].to_i.positive? ? "#{step["min"]} min" : nil) ].compact.join(", ")
    })
  end

  def cautions
    return if @pot.cautions.empty?

    part("Cautions")
    list(@pot.cautions, size: 8.5)
  end
end
