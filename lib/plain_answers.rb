require "json"

# What is answered where the application itself could not: requests that cannot be read, and what failed outside a
# controller. In words, without records or templates.
class PlainAnswers
  SENTENCES = {
    400 => "The request cannot be read: it is malformed.", 404 => "There is nothing here; it may have been removed.",
    405 => "That cannot be done here.", 406 => "This is not to be had in that form.",
    413 => "That is too large to be taken in.", 422 => "The request cannot be used.",
    503 => "The shop's computer is busy. Try again in a moment."
  }.freeze
  OTHER = "That did not work on the shop's computer. Nothing was changed; try again in a moment.".freeze

  # A name that is not the shop's.
  STRANGER = "The shop's computer does not answer to this name. Open it by its own name or address, or name this one " \
             "in RHEXON_HOSTS where it is started.".freeze

  # These pages run nothing and ask for nothing; how they look is written into them.
  POLICY = "default-src 'none'; style-src 'unsafe-inline'; frame-ancestors 'none'".freeze

  # @param env [Hash] of Rack
  def self.stranger(env) = told(env, 403, STRANGER)

  # @param env [Hash] of Rack; its path is the status, as Rails gives it
  def self.call(env)
    status = env["PATH_INFO"].to_s.delete_prefix("/").to_i
    told(env, status, SENTENCES.fetch(status, OTHER))
  end

  def self.told(env, status, sentence)
    if env["HTTP_ACCEPT"].to_s.include?("json") || env["CONTENT_TYPE"].to_s.include?("json")
      return answer(status, "application/json", JSON.generate(error: { sentence: sentence, where: "" }))
    end

    answer(
      status, "text/html; charset=utf-8",
      "<!DOCTYPE html><html lang=\"en\"><head><meta charset=\"utf-8\"><title>Rhexon</title></head><body " \
      "style=\"font-family:sans-serif;margin:3rem;max-width:36rem\"><h1>#{sentence}</h1><p><a href=\"/bench\">Go to " \
      "the bench</a></p></body></html>"
    )
  end

  def self.answer(status, type, body)
    [ status, { "content-type" => type, "content-length" => body.bytesize.to_s, "content-security-policy" => POLICY },
      [ body ] ]
  end

  private_class_method :told, :answer
end
