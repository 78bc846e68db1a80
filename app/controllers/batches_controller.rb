# Cans, jars and mixes.
class BatchesController < ApplicationController
  keeps_sound :create, :update
  takes :create, product: :whole, amount: :typed, lot: :name, state: :name, on: :name, client_id: :id
  takes :update, act: :name, left: :typed, grams: :typed, client_id: :id

  def show
    page "Shelf/Batch", BatchPageSerializer, standing
  end

  # A can that came in.
  def create
    product =
      Product.find_by(id: body["product"]) || raise(Rhexon::InvalidInput.new("Choose a product", where: "product"))
    typed = Rhexon::Typed.read(body["amount"], where: "amount")
    grams = Rhexon::Mixing::Packs.grams({ typed.kind == :mass ? "g" : "ml" => typed.value }, product.to_value)
    received = Batch.receive!(product, grams: grams.round(1), lot: body["lot"].presence,
                                       state: body["state"] == "opened" ? "opened" : "sealed", on: day(body["on"]),
                                       client_id: body["client_id"].presence || SecureRandom.uuid)
    render json: { location: batch_path(received) }
  end

  def update
    case body["act"]
    when "open" then batch.open!(on: today)
    when "weigh"
      batch.weigh!(Rhexon::Typed.read(body["left"], wants: :mass, unit: :g, where: "left").value,
                   client_id: client_id)
    when "empty" then batch.weigh!(0.0, client_id: client_id)
    when "keep"
      return render(json: {
                      location: batch_path(
                        batch.keep_touch_up!(
                          Rhexon::Typed.read(body["grams"], wants: :mass, unit: :g, where: "grams").value,
                          client_id: client_id
                        )
                      )
                    })
    when "discard" then batch.discard!(client_id: client_id)
    else raise Rhexon::InvalidInput.new(
      "That cannot be done with a batch", where: "act", accepted: "open, weigh, empty, keep, discard"
    )
    end
    render json: BatchPageSerializer.new(standing).to_h
  end

  private

  def batch = @batch ||= Batch.find(params[:id])
  def standing = { batch: serialized, moves: moves, use: Batch::Use.new(batch).to_h }
  def serialized = BatchSerializer.new(batch.reload, params: { today: today }).to_h

  def moves
    batch.stock_moves.order(id: :desc).limit(100).map do |move|
      { id: move.id, grams: move.grams.round(2), reason: move.reason, at: move.created_at.to_i / 60 }
    end
  end

  def today = Shop.current.clock.date(Time.current.to_i / 60)

  def day(text)
    return today if text.blank?

    Date.iso8601(text.to_s).tap do |date|
      Rhexon::Zone.near!(date.to_time.to_i / 60, Time.current.to_i / 60, "on")
    end
  rescue ArgumentError
    raise Rhexon::InvalidInput.new("#{text.inspect} is no day", where: "on", accepted: "such as 2026-11-25")
  end
end
