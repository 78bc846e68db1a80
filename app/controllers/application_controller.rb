# Controllers are thin: they read a request, ask a record or the core, and answer with typed props.
class ApplicationController < ActionController::Base
  rescue_from Rhexon::Refusal, with: :refused
  rescue_from Entry::Conflict, with: :conflicting
  rescue_from ActiveRecord::RecordNotFound, with: :missing
  rescue_from ActionController::ParameterMissing, with: :incomplete
  rescue_from ActionDispatch::Http::Parameters::ParseError, with: :incomplete

  inertia_share { Shop.current.then { |shop| { shop: { name: shop.name, zone: shop.zone, now: Time.current.to_i / 60, currency: shop.currency } } } }

  # Any address that leads nowhere.
  def missing(_error = nil)
    return render json: { error: { sentence: "There is nothing here; it may have been removed.", where: request.path } }, status: :not_found if request.format.json?

    render inertia: "Missing", props: { path: request.path }, status: :not_found
  end

  private

  def refused(refusal)
    return render json: { error: said(refusal) }, status: :unprocessable_entity if request.format.json?

    render inertia: "Refused", props: { error: said(refusal) }, status: :unprocessable_entity
  end

  def said(refusal) = { sentence: refusal.message, where: refusal.where, accepted: refusal.accepted }

  def conflicting(error) = render(json: { error: { sentence: error.message, where: "client_id" } }, status: :conflict)

  def incomplete(error) = render(json: { error: { sentence: "The request is not complete: #{error.message.lines.first.strip}", where: "" } }, status: :bad_request)

  # JSON sent by the pages, with string keys, as it came.
  def body = @body ||= request.request_parameters.except(controller_name.singularize)

  def instant(text)
    Time.iso8601(text.to_s)
  rescue ArgumentError
    raise Rhexon::Refusal.new("#{text.inspect} is not a time", where: "at", accepted: "ISO 8601 with seconds and offset")
  end
end
