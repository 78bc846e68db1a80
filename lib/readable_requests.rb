# At the door: a request whose query or form cannot be read as what it says it is, or holds what is no text, is answered
# with 400 in words, before anything else looks at it. JSON is read by whoever takes it.
class ReadableRequests
  def initialize(app)
    @app = app
  end

  # @param env [Hash] of Rack
  def call(env) = readable?(env) ? @app.call(env) : PlainAnswers.call(env.merge("PATH_INFO" => "/400"))

  private

  # What is parsed here is kept with the request. Whatever goes wrong in it is the sender's: rack, its multipart parser
  # and Rails have no error in common for it.
  def readable?(env)
    request = ActionDispatch::Request.new(env)
    text?(request.path_info) && text?(request.query_parameters) &&
      (!request.form_data? || text?(request.request_parameters))
  rescue StandardError
    false
  end

  def text?(value)
    case value
    when String then value.dup.force_encoding(Encoding::UTF_8).valid_encoding?
    when Hash then value.all? { |key, inner| text?(key.to_s) && text?(inner) }
    when Array then value.all? { |inner| text?(inner) }
    else true
    end
  end
end
