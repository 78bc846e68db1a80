# Waiting for a lock must not hold the interpreter: the busy handler with a timeout releases it between tries.
module BusyHandlerThatYields
  private

  def configure_connection
    super
    @raw_connection.busy_handler_timeout = @config[:timeout] if @config[:timeout]
  end
end

ActiveSupport.on_load(:active_record_sqlite3adapter) { prepend BusyHandlerThatYields }
