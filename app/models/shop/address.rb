require "socket"

# The address by which devices reach the shop's computer: as the owner set it, else as it was asked for.
class Shop::Address
  LOOPBACK = %w[localhost 127.0.0.1 ::1 [::1]].freeze
  FORMAT = %r{\Ahttps?://[a-zA-Z0-9.\-\[\]:]+(:\d{1,5})?\z}

  class << self
    # @return [Hash] host, port and protocol for addresses that are sent or printed
    def options
      set = Shop.current.address.presence or return {}
      uri = URI.parse(set)
      { host: uri.host, port: uri.port == uri.default_port ? nil : uri.port, protocol: uri.scheme }
    rescue ActiveRecord::ActiveRecordError, URI::InvalidURIError
      {}
    end

    # @param url [String]
    # @return [Boolean] whether it leads to this computer from this computer only
    def loopback?(url)
      host = URI.parse(url).host.to_s
      LOOPBACK.include?(host) || host.start_with?("127.") || host.end_with?(".localhost")
    rescue URI::InvalidURIError
      false
    end

    # @return [Array<String>] addresses of this computer in the house's network
    def of_this_computer(request)
      port = request.port == request.standard_port ? "" : ":#{request.port}"
      Socket.ip_address_list.select(&:ipv4_private?).map { |one| "#{request.protocol}#{one.ip_address}#{port}" }.uniq
    rescue SystemCallError
      []
    end
  end
end
