# An answer that is told while it is reckoned: a line of JSON for each part.
module ByLines
  TYPE = "application/x-ndjson".freeze

  private

  # What cannot be answered is told by a last line, as an error of any other request would be.
  # @yieldparam line [Proc] takes one part
  def by_lines(&work)
    response.headers["Content-Type"] = TYPE
    response.headers["Cache-Control"] = "no-store"
    response.headers["Last-Modified"] = Time.current.httpdate # nothing waits for the end to compare it
    self.response_body = Enumerator.new do |out|
      writing = false
      line = lambda do |part|
        writing = true
        out << "#{JSON.generate(part)}\n"
        writing = false
      end
      work.call(line)
    rescue StandardError => error
      raise if writing # nobody listens any more

      line.call({ error: said(error.is_a?(Rhexon::InvalidInput) ? error : trouble(error)) })
    end
  end

  def trouble(error) = Trouble.new(error, "That could not be reckoned to its end")
end
