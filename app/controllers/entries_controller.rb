# The append-only log. An entry carries an id made by the client, so that a repeat is not a second entry.
class EntriesController < ApplicationController
  include WhoseBench
  include NamesPiece

  takes :create, client_id: :id, kind: :name, pass: :words, person: :name, milestone: :name, answer: :name,
                 fault: :name, mending: :name, corrects: :whole, happened_at: :name, readings: :list,
                 t_c: :any, points: :any, drops: :any, cautions: :list, nth: :whole, comb_um: :list, pot_g: :list,
                 gun: :table, surface_c: :number, efflux_s: :number, by: :name, item: :words, corrects_touch: :id,
                 shop_time: :flag, cause: :name, answers: :table, size_mm: :number, from: :name

  def create
    refuse_other_hands!
    happened_at = body["shop_time"] ? typed_instant : instant(body["happened_at"])
    record = -> { Bench::Work.record!(body, happened_at: happened_at) }
    return take_in(record) if later?

    floor = SoundChange.keep!(drawn: [ *touched ], &record)
    render json: BenchState.new(floor: floor, hands: hands).to_h
  end

  private

  # Asked to answer before the plan is made (RFC 7240). What is mended changes the schedule, and is planned at once.
  def later? = request.headers["Prefer"] == "respond-async" && body["kind"] != "fault"

  def take_in(record)
    entry = Plan::Settling.take_in!(touched, &record)
    render json: { entry: entry.id, settle: entry_settling_path(entry) }, status: :accepted
  end

  # Typed by the shop's clock, whatever the device's says.
  def typed_instant = Time.zone.at(Rhexon::Zone.minute(body["happened_at"], where: "happened_at") * 60)

  # Nobody's name is put to work by others where they keep a code.
  def refuse_other_hands!
    named = body["person"].presence && Person.find_by(name: body["person"]) or return
    return if Current.session.names?(named)

    raise Rhexon::InvalidInput.new("#{named.name} has a code: take the device over with it first", where: "person",
                                   accepted: "your own hands, and those of people without a code")
  end

  # The piece of the pass that was touched, or of the entry that is taken back.
  def touched
    @touched ||= if body["pass"].is_a?(String)
      piece_of_pass(body["pass"])
    else
      Access.use(Bench::Work.mistaken(body))&.piece
    end
  end

  def worked_on
    Access.begin_for(touched, "The end of the day is for those who run the bench: tell one of them.")
  end
end
