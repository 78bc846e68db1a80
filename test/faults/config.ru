# The application with a disk that fails, for the tests of faults.
# FAULT: full (no page more), readonly (nothing can be written), or none.
require_relative "../../config/environment"

module FailingDisk
  def configure_connection
    super
    case ENV["FAULT"]
    when "full" then @raw_connection.execute("PRAGMA max_page_count = #{page_count}")
    when "readonly" then @raw_connection.execute("PRAGMA query_only = ON")
    end
  end

  def page_count
    row = @raw_connection.execute("PRAGMA page_count").first
    row.is_a?(Hash) ? row.values.first : row.first
  end
end
ActiveRecord::ConnectionAdapters::SQLite3Adapter.prepend(FailingDisk)
ActiveRecord::Base.connection_handler.clear_all_connections!(:all)

run Rails.application
