# What instruments send: JSON, or lines of text, with the token of the instrument. The bench asks for what those of the
# hand have sent lately.
class InstrumentReadingsController < ApplicationController
  include ActionController::HttpAuthentication::Token::ControllerMethods

  skip_forgery_protection
  MOST_BYTES = 200_000

  at_most 600, within: 1.minute, by: :address, only: :create

  def index
    kind = query(:kind)
    instruments = Instrument.of_hand.where(kind: kind).order(:id)
    render json: { instruments: instruments.map { |one| HandInstrumentSerializer.new(one).to_h } }
  end

  def create
    instrument = authenticate_with_http_token { |token| Instrument.by_token(token) }
    return refuse_stranger unless instrument

    report = instrument.take!(readings)
    render json: { taken: report.taken, marked: report.marked, refused: report.refused },
           status: report.taken.positive? ? :ok : :unprocessable_entity
  end

  private

  def address = request.remote_ip

  def refuse_stranger
    render json: { error: { sentence: "No instrument has that token: its page tells it once, and makes another.",
                            where: "Authorization" } }, status: :unauthorized
  end

  # @return [Array<Hash>]
  def readings
    text = request.raw_post.to_s.dup.force_encoding("UTF-8").scrub
    Rhexon.refuse_unless(text.bytesize <= MOST_BYTES, "That is too much at once", where: "",
                                                                                  accepted: "up to #{MOST_BYTES} bytes")
    return lines(text) unless request.media_type == "application/json"

    sent = JSON.parse(text)
    sent.is_a?(Hash) && sent["readings"].is_a?(Array) ? sent["readings"] : Array.wrap(sent)
  rescue JSON::ParserError
    raise Rhexon::InvalidInput.new("That is no JSON", where: "", accepted: '{"t_c": 19.4, "rh": 56}')
  end

  # "t_c=19.4 rh=56 at=2026-11-30T06:40:00Z", a reading to a line.
  def lines(text)
    text.lines.map(&:strip).reject(&:empty?).map do |line|
      line.split(/[\s;]+/).to_h { |part| part.split("=", 2).then { |name, value| [ name, value ] } }
    end
  end
end
