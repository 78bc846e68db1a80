# Controllers are thin: they read a request, ask a record or the core, and answer with typed props.
class ApplicationController < ActionController::Base
  # First of all: what is refused is told on a page, too.
  inertia_share { shared }
  before_action :begin_first
  include SignsIn
  include Throttles
  include WorksInHand

  rescue_from StandardError, with: :failed
  rescue_from Rhexon::InvalidInput, with: :refused
  rescue_from Trouble, with: :failed
  rescue_from SlowWork::Busy, with: :busy
  rescue_from Throttles::TooOften, with: :too_often
  rescue_from Pundit::NotAuthorizedError, with: :not_theirs
  rescue_from ActionController::InvalidAuthenticityToken, with: :without_token
  rescue_from Entry::Conflict, with: :conflicting
  rescue_from ActiveRecord::RecordInvalid, ActiveRecord::RecordNotDestroyed, with: :invalid
  rescue_from ActiveModel::RangeError, with: :too_large
  rescue_from ActiveRecord::RecordNotFound, ActiveStorage::FileNotFoundError, with: :missing
  rescue_from ActionController::UnknownFormat, with: :no_such_format
  rescue_from ActionController::ParameterMissing, with: :incomplete
  rescue_from ActionDispatch::Http::Parameters::ParseError, with: :incomplete

  # Actions whose writes plans depend on: kept only if all can be planned, checked and drawn.
  # @param of [Symbol, nil] method that gives the pieces they change; nil: every piece is drawn
  # @param anew [Boolean] a new plan is searched for
  def self.keeps_sound(*actions, of: nil, anew: false)
    around_action(only: actions) do |controller, action|
      SoundChange.keep!(drawn: of && Array(controller.send(of)), anew: anew, &action)
    end
  end

  # What an action takes from a request, by name and type (Given).
  def self.takes(*actions, **shape)
    actions.each { |action| shapes[action.to_s] = shape }
    before_action(only: actions) { body }
  end

  def self.shapes = @shapes ||= {}

  # Far more than hands and pages ask for; a device that has run wild does not hold up the others.
  at_most 1_500, within: 1.minute

  # Actions that take long: a few at a time, beside the threads that answer the bench, and so many from one session.
  def self.takes_long(*actions)
    at_most 120, within: 1.minute, only: actions
    around_action(only: actions) { |controller, action| SlowWork.turn(of: controller.send(:question), &action) }
  end

  # Files that are taken in: read, checked and planned with, each time.
  def self.takes_files(*actions) = at_most(40, within: 1.minute, only: actions)

  # Any address that leads nowhere.
  def missing(_error = nil)
    if request.format.json?
      return render json: {
                      error: { sentence: "There is nothing here; it may have been removed.", where: request.path }
                    },
                    status: :not_found
    end

    render inertia: "Missing", props: { path: request.path }, status: :not_found
  end

  # Addresses that are sent, printed or scanned lead to the shop from other devices, too.
  def default_url_options = super.merge(Shop::Address.options)

  private

  # Which question of which open page this is, where the page says so: a newer one of the same kind takes its place.
  # @return [String, nil]
  def question
    page = request.headers["X-Page"].to_s
    "#{page} #{request.request_method} #{request.path}" if page.match?(/\A[\w-]{8,40}\z/)
  end

  # A shop that has not begun has one page.
  def begin_first
    return if Shop.exists?
    return redirect_to(first_shop_path) unless request.format.json?

    tell({ sentence: "There is no shop here yet: begin one on the first page.", where: "" }, :not_found)
  end

  # What a serializer gives is plain: it is not searched for props that are still to be evaluated.
  # @param props [Hash] what the serializer takes
  def page(name, serializer, props)
    plain = serializer.new(props).to_h.transform_values { |value| InertiaRails::BaseProp.new { value } }
    render inertia: name, props: plain
  end

  # What every page shows around itself; where the shop's file cannot be read, as much as is known without it.
  def shared
    shop = Shop.current
    {
      shop: { name: shop.name, zone: shop.zone, now: Time.current.to_i / 60, currency: shop.currency },
      aside: set_aside, me: me, refusals: refusals
    }
  rescue ActiveRecord::ActiveRecordError
    { shop: { name: "Rhexon", zone: "Etc/UTC", now: Time.current.to_i / 60, currency: "EUR" }, aside: [], me: nil,
      refusals: 0 }
  end

  # Wrong passwords and codes of the last day, for the owner.
  def refusals = Current.role == "owner" ? AuditLine.refusals(1.day.ago) : 0

  # Who has signed in, as far as the pages go by it.
  def me = Current.person&.then { |person| { name: person.name, role: Current.role, new_device: new_device(person) } }

  # Told on what was signed in before.
  NEW_DEVICE_TOLD = 7.days
  private_constant :NEW_DEVICE_TOLD

  # @return [Hash, nil] minute and name of the device
  def new_device(person)
    since = [ Current.session.created_at, NEW_DEVICE_TOLD.ago ].compact.max
    line = AuditLine.new_device(person, since + 1.second)
    line && { at: line.at.to_i / 60, device: line.device }
  end

  # Pieces that could not be computed when the shop was planned last.
  def set_aside
    if ShopFloor.faulty.presence
      Access.of(Piece).where(id: ShopFloor.faulty).order(:id).map { |piece| { id: piece.id, name: piece.name } }
    else
      []
    end
  end

  def refused(refusal) = tell(said(refusal), :unprocessable_entity)

  # Not foreseen, or the shop's file cannot be read or written just now.
  def failed(error)
    if Trouble.of_database?(error)
      return tell({ sentence: Trouble.database_sentence(error), where: "", again: true }, :service_unavailable)
    end
    if error.cause.is_a?(SQLite3::ConstraintException)
      return tell(
        { sentence: "That cannot be kept: #{error.cause.message.sub(/\A\w+ constraint failed: /, "")}.", where: "" },
        :unprocessable_entity
      )
    end

    trouble = if error.is_a?(Trouble)
      error
    else
      Trouble.new(error, "That did not work on the shop's computer, and nothing was changed")
    end
    tell({ **said(trouble), number: trouble.number },
         error.is_a?(Trouble) ? :unprocessable_entity : :internal_server_error)
  end

  def invalid(error)
    error.record.errors.first.then do |first|
      tell({ sentence: first ? first.message : error.message, where: first ? first.attribute.to_s : "" },
           :unprocessable_entity)
    end
  end

  def too_large(_error) = tell({ sentence: "A number is too large to be kept.", where: "" }, :unprocessable_entity)

  def no_such_format(_error)
    tell({ sentence: "This is not to be had in that form.", where: request.path }, :not_acceptable)
  end

  def busy(error) = tell({ sentence: error.message, where: "", again: true }, :service_unavailable)

  # Its cookies were deleted, or are from before another secret: this answer brings a new token, and the page sends
  # once more.
  def without_token(_error)
    cookies["XSRF-TOKEN"] = form_authenticity_token
    tell(
      { sentence: "This page was opened too long ago. Load it again, then try once more.", where: "", again: true },
      :forbidden
    )
  end

  # What was already written as an answer is not given.
  def tell(error, status)
    self.response_body = @_response_body = nil # the one resets the response, the other lets it be rendered anew
    return render json: { error: error }, status: status if request.format.json?

    render inertia: "Refused", props: { error: error }, status: status
  end

  def said(refusal) = { sentence: refusal.message, where: refusal.where, accepted: refusal.accepted }

  def conflicting(error) = tell({ sentence: error.message, where: "client_id" }, :conflict)

  def incomplete(error)
    tell({ sentence: "The request is not complete: #{error.message.lines.first.strip}", where: "" }, :bad_request)
  end

  # What the pages sent, with string keys: the fields that the action takes, each of its type.
  # @raise [Rhexon::InvalidInput]
  def body = @body ||= Given.read(request.request_parameters, self.class.shapes.fetch(action_name, {}))

  # The id that the page made for this request, so that a repeat is not done twice.
  # @raise [Rhexon::InvalidInput]
  def client_id
    body["client_id"].presence ||
      raise(Rhexon::InvalidInput.new("The request needs an id of its own", where: "client_id"))
  end

  # A word of the address' query; whatever is not one counts as none.
  # @return [String, nil]
  def query(name) = params[name].then { |value| value if Given.text?(value, Given::WORDS) }

  # A moment as the page sent it, put right by how far the device's clock is off the shop's (DeviceClock).
  # @return [Time]
  # @raise [Rhexon::InvalidInput]
  def instant(text)
    DeviceClock.of(request).right(Time.iso8601(text.to_s))
  rescue ArgumentError
    raise Rhexon::InvalidInput.new(
      "#{text.inspect} is not a time", where: "at", accepted: "ISO 8601 with seconds and offset"
    )
  end
end
