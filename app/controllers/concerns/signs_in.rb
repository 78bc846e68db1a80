# Who asks, and whether they may: everything but what Access::OPEN names is for people who have signed in.
module SignsIn
  extend ActiveSupport::Concern
  include KnowsDevice

  COOKIE = :rhexon_session
  # On a demo's sign-in page nobody signs in by itself any more.
  LEFT = :rhexon_left
  # What a proxy adds: behind one, everybody seems to ask from this machine.
  PASSED_ON = %w[HTTP_FORWARDED HTTP_X_FORWARDED_FOR HTTP_X_REAL_IP HTTP_VIA].freeze

  included do
    before_action :identify
    before_action :allow
    before_action :confirm
    after_action :verify_policy
  end

  private

  def identify
    Current.address = request.remote_ip
    Current.session = Session.of_token(cookies.signed[cookie_name]) || (demo_session if demo?)
    Current.session&.seen!
  rescue ActiveRecord::ActiveRecordError
    # Where the shop's file cannot be read, what is open to anybody says so itself.
    raise unless Access.open?(controller_path, action_name)
  end

  def allow
    return if Access.open?(controller_path, action_name)
    return sign_in_first unless Current.session

    return forbid(not_for(least_role)) if Person::ROLES.index(Current.role) < Person::ROLES.index(least_role)

    waits_for(whose) if whose && whose != Current.person.name
  end

  # In whose hands a device was when it was touched, where the page says so.
  def whose
    URI.decode_www_form_component(request.headers["X-Whose"].to_s).presence
  rescue ArgumentError
    nil
  end

  # Nobody's work is written down as somebody else's.
  def waits_for(name)
    tell({ sentence: "#{name} did this, and #{Current.person.name} is here now.", where: "", whose: name }, :conflict)
  end

  # A code takes a device over for the work of the bench.
  def not_for(needed)
    return "That is for #{WHO.fetch(needed)}." unless needed == "owner" && Current.person.owner?

    "A code only opens the bench. Sign in with your password for this."
  end

  # What is the owner's asks for the password again where it was not given just now.
  def confirm
    return unless Access.confirmed?(controller_path) && !demo? && !Current.session.confirmed?
    return redirect_to(confirmation_path(to: request.fullpath)) if !request.format.json? && request.get?

    tell({ sentence: "Enter your password again to continue.", where: "password", confirm: true }, :forbidden)
  end

  WHO = { "owner" => "the owner of the shop", "finisher" => "the finishers of the shop", "student" => "people here" }
    .freeze
  private_constant :WHO

  # An action that students reach and that asked no policy has shown what it should not.
  def verify_policy
    return if Current.asked_policy || Access.open?(controller_path, action_name)
    return if Access.nobodys?(controller_path, action_name)
    return unless least_role == "student"

    raise Pundit::AuthorizationNotPerformedError, "#{controller_path}##{action_name}"
  end

  def least_role = Access.least(controller_path, action_name, !(request.get? || request.head?))

  def not_theirs(error) = forbid(error.message)

  def forbid(sentence) = tell({ sentence: sentence, where: "", others: true }, :forbidden)

  def sign_in_first
    return redirect_to(first_owner_path) if !Person.owned? && !demo? && !request.format.json?
    return redirect_to(sign_in_path(to: request.get? ? request.fullpath : nil)) unless request.format.json?

    tell({ sentence: "Nobody has signed in on this device.", where: "" }, :unauthorized)
  end

  # @return [Boolean] whether this is the demo, seen on the machine it runs on
  def demo?
    Rails.configuration.x.demo && IPAddr.new(request.remote_ip).loopback? && PASSED_ON.none? { |name|
      request.env[name]
    }
  rescue IPAddr::Error
    false
  end

  def demo_session
    return if cookies[LEFT] || Access.open?(controller_path, action_name)

    owner = Person.owners.order(:id).first
    sign_in!(owner) if owner
  rescue ActiveRecord::StatementInvalid => error
    # Nothing can be written just now; what is there can be looked at all the same.
    logger.warn("The demo signs nobody in: #{error.message}")
    Session.new(person: owner, known: [], seen_at: Time.current)
  end

  # By TLS no other name, path or plain connection can set it.
  def cookie_name = request.ssl? ? :"__Host-#{COOKIE}" : COOKIE

  # @return [Session]
  def sign_in!(person)
    session, token = Session.begin!(person, device: DeviceName.of(request.user_agent))
    cookies.delete(LEFT)
    cookies.signed[cookie_name] = { value: token, httponly: true, same_site: :lax, secure: request.ssl?, path: "/",
                                    expires: Session::LONGEST.from_now }
    Current.session = session
    AuditLine.note!("signed_in", person: person, new_device: (true if !demo? && new_device?(person)))
    session
  end
end
