# Controllers are thin: they read a request, ask a record or the core, and answer with typed props.
class ApplicationController < ActionController::Base
  rescue_from StandardError, with: :failed
  rescue_from Rhexon::Refusal, with: :refused
  rescue_from Trouble, with: :failed
  rescue_from ActionController::InvalidAuthenticityToken, with: :without_token
  rescue_from Entry::Conflict, with: :conflicting
  rescue_from ActiveRecord::RecordNotFound, with: :missing
  rescue_from ActionController::ParameterMissing, with: :incomplete
  rescue_from ActionDispatch::Http::Parameters::ParseError, with: :incomplete

  # Actions whose writes plans depend on: kept only if all can be planned, checked and drawn.
  # @param of [Symbol, nil] method that gives the pieces they change; nil: every piece is drawn
  def self.keeps_sound(*actions, of: nil)
    around_action(only: actions) { |controller, action| SoundChange.keep!(drawn: of && Array(controller.send(of)), &action) }
  end

  inertia_share { shared }

  # Any address that leads nowhere.
  def missing(_error = nil)
    return render json: { error: { sentence: "There is nothing here; it may have been removed.", where: request.path } }, status: :not_found if request.format.json?

    render inertia: "Missing", props: { path: request.path }, status: :not_found
  end

  private

  # What every page shows around itself; where the shop's file cannot be read, as much as is known without it.
  def shared
    shop = Shop.current
    { shop: { name: shop.name, zone: shop.zone, now: Time.current.to_i / 60, currency: shop.currency }, aside: set_aside }
  rescue ActiveRecord::ActiveRecordError
    { shop: { name: "Rhexon", zone: "Etc/UTC", now: Time.current.to_i / 60, currency: "EUR" }, aside: [] }
  end

  # Pieces that could not be computed when the shop was planned last.
  def set_aside = ShopFloor.faulty.presence ? Piece.where(id: ShopFloor.faulty).order(:id).map { |piece| { id: piece.id, name: piece.name } } : []

  def refused(refusal) = tell(said(refusal), :unprocessable_entity)

  # Not foreseen, or the shop's file cannot be read or written just now.
  def failed(error)
    return tell({ sentence: Trouble.database_sentence(error), where: "", again: true }, :service_unavailable) if Trouble.of_database?(error)

    trouble = error.is_a?(Trouble) ? error : Trouble.new(error, "That did not work on the shop's computer, and nothing was changed")
    tell({ **said(trouble), number: trouble.number }, error.is_a?(Trouble) ? :unprocessable_entity : :internal_server_error)
  end

  # Its cookies were deleted, or are from before another secret: this answer brings a new token, and the page sends once more.
  def without_token(_error)
    cookies["XSRF-TOKEN"] = form_authenticity_token
    tell({ sentence: "This page was opened too long ago. Load it again, then try once more.", where: "", again: true }, :forbidden)
  end

  # What was already written as an answer is not given.
  def tell(error, status)
    self.response_body = @_response_body = nil # the one resets the response, the other lets it be rendered anew
    return render json: { error: error }, status: status if request.format.json?

    render inertia: "Refused", props: { error: error }, status: status
  end

  def said(refusal) = { sentence: refusal.message, where: refusal.where, accepted: refusal.accepted }

  def conflicting(error) = tell({ sentence: error.message, where: "client_id" }, :conflict)

  def incomplete(error) = tell({ sentence: "The request is not complete: #{error.message.lines.first.strip}", where: "" }, :bad_request)

  # JSON sent by the pages, with string keys, as it came.
  def body = @body ||= request.request_parameters.except(controller_name.singularize)

  def instant(text)
    Time.iso8601(text.to_s)
  rescue ArgumentError
    raise Rhexon::Refusal.new("#{text.inspect} is not a time", where: "at", accepted: "ISO 8601 with seconds and offset")
  end
end
