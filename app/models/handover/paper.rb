# The handover on paper: for each piece what it is finished with, from when it bears what, and how it is kept.
class Handover::Paper < Printed::Sheet
  # @param state [HandoverState]
  # @param care_alone [Boolean] how it is kept, without what it is finished with
  def initialize(state, care_alone: false, **options)
    super(**options)
    @state = state
    @care_alone = care_alone
  end

  private

  def title = "#{@care_alone ? "Care" : "Handover"}: #{@state.title}"
  def subject = [ @state.client, @state.place ]

  def draw
    @state.told.each_with_index do |piece, index|
      @pdf.start_new_page if index.positive?
      draw_piece(piece)
    end
    say("Nothing lies on it yet that could be handed over.") if @state.told.empty?
  end

  def draw_piece(piece)
    if @state.told.many?
      say([ piece[:name], (piece[:count] > 1 ? "#{piece[:count]} off" : nil), piece[:wood] ].compact.join(", "),
          size: 13, style: :bold)
    end
    draw_layers(piece) unless @care_alone
    draw_dates(piece)
    draw_care(piece[:care])
    draw_rest(piece) unless @care_alone
  end

  def draw_layers(piece)
    part("What it is finished with")
    rows = piece[:layers].map do |layer|
      coats = layer[:coats] > 1 ? "#{layer[:coats]} coats" : "1 coat"
      [ layer[:product] || layer[:family], coats, "#{layer[:done] ? "done" : "planned"} #{day(layer[:at])}" ]
    end
    table([ [ "Finish, in the order it was laid", "", "" ], *rows ], [ nil, 25, 50 ])
  end

  def draw_dates(piece)
    part(piece[:finished] ? "From when it bears what" : "From when it bears what, by the plan of today")
    rows = piece[:dates].map { |date| [ date[:says], date[:at] ? clock(date[:at]) : "not in this air" ] }
    table([ [ "", "from" ], *rows ], [ nil, 50 ])
    say("Reckoned for the air it dries in; a colder or damper place takes longer. The maker's data sheet wins.",
        size: 8)
  end

  def draw_care(care)
    part("How it is kept")
    list(care[:clean])
    part("What never to use")
    list(care[:never])
    part("When a fresh coat is due")
    list([ *care[:due], *(care[:renew_on] ? [ "To be expected about #{month(care[:renew_on])}" ] : [ "As it wears" ]),
           *care[:renew] ])
    part("To be minded")
    list([ *care[:until_cured], care[:food] ])
  end

  def draw_rest(piece)
    rest = [ *looks(piece[:look]), *piece[:touch_ups].map { |jar| touch_up(jar) },
             *piece[:tests].map { |test| "#{test[:what]}: #{test[:said]}, #{day(test[:at])}" } ]
    return if rest.empty?

    part("What else belongs to it")
    list(rest)
  end

  def looks(look)
    return [] unless look

    approved = look[:approved_by] && ", approved by #{look[:approved_by]} on #{day(look[:approved_at])}"
    [ "Its look is that of cell #{look[:cell]} of the board #{look[:board]}#{approved}" ]
  end

  def touch_up(jar)
    expires = jar[:expires_on] && "good until #{Date.iso8601(jar[:expires_on]).strftime("%-d %b %Y")}"
    "Kept for touching up: " + [ "#{jar[:name]}, jar #{jar[:code]}", jar[:lot].presence && "lot #{jar[:lot]}",
                                 "#{jar[:g]} g", expires ].compact.join(", ")
  end

  def month(iso) = Date.iso8601(iso).strftime("%B %Y")
  def footer_says = "Reminders, no promise: labels, data sheets and local codes decide."
end
