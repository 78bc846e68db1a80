# The day on paper: for each person at the bench what to do when, with a square to tick; what is dried on and off, and
# what the evening asks.
class Bench::Paper < Printed::Sheet
  # @param day [Hash] of DayState
  # @param person [String, nil] nil: everybody's, each on a page
  def initialize(day, person: nil, **options)
    super(**options)
    @day = day
    @person = person
  end

  private

  def title = "Day sheet"
  def subject = [ clock(@day[:now]).split(" ").first(3).join(" "), @person ]
  def lists = @day[:lists].select { |list| @person.nil? || list[:person] == @person }

  def draw
    say("Nothing is planned for today.") if lists.empty?
    lists.each_with_index do |list, index|
      @pdf.start_new_page if index.positive?
      part(list[:person])
      table([ [ "From", "Work", "On", "Takes", "Began", "Done" ], *list[:works].map { |work| cells(work) } ],
            [ 24, nil, 46, 16, 18, 18 ], size: 9.5)
    end
    ends("What the morning has to know", @day[:morning])
    ends("Before leaving", @day[:evening])
  end

  def cells(work) = [ clock(work[:at]).split(" ").last, work[:words], work[:piece], duration(work[:min]), "", "" ]

  def ends(words, items)
    return if items.empty?

    part(words)
    items.each do |item|
      top = @pdf.cursor
      @pdf.bounding_box([ 7 * MM, top ], width: @pdf.bounds.width - 7 * MM) { say(item[:words], size: 9.5) }
      box(0, top, 3.4) if top - @pdf.cursor < 60 * MM
      @pdf.move_down(1.5 * MM)
    end
  end
end
