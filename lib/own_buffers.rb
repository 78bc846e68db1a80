require "puma"
require "puma/server"

# Each web thread builds its answers in a buffer of its own. Puma 8 keeps one with the connection and empties it after
# the connection was handed on: on a busy computer the next answer's header, just being built by another thread, was
# emptied with it, and the page got an answer without one.
module OwnBuffers
  def io_buffer = Thread.current[:answer_buffer] ||= Puma::IOBuffer.new
end

Puma::Client.prepend(OwnBuffers)
