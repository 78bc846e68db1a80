require "test_helper"
require "socket"
require Rails.root.join("lib/own_buffers")

# A connection that is kept for the next question, handed from one web thread to another while the first is held up.
class KeepAliveTest < ActiveSupport::TestCase
  # The thread that hands a connection on goes on only after the next answer on it has begun.
  class HeldUp < SimpleDelegator
    def add(client) = super.tap { sleep 0.2 }
  end

  # A body that comes in pieces: its header waits meanwhile.
  class Slow
    def each
      sleep 0.4
      yield "whole"
    end
  end

  setup do
    @server = Puma::Server.new(->(_env) { [ 200, { "content-type" => "text/plain" }, Slow.new ] }, nil,
                               { log_writer: Puma::LogWriter.null, min_threads: 3, max_threads: 3 })
    port = @server.add_tcp_listener("127.0.0.1", 0).addr[1]
    @server.run
    @server.instance_variable_set(:@reactor, HeldUp.new(@server.instance_variable_get(:@reactor)))
    @socket = TCPSocket.new("127.0.0.1", port)
  end

  teardown do
    @socket.close
    @server.stop(true)
  end

  def ask
    @socket.write("GET / HTTP/1.1\r\nHost: shop\r\n\r\n")
    @socket.gets("0\r\n\r\n")
  end

  test "each answer on a kept connection begins with its header" do
    3.times { assert_match %r{\AHTTP/1\.1 200 OK}, ask }
  end
end
