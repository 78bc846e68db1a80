# Limits of how often something may be asked for, by whoever asks; what is over them is told in words.
module Throttles
  extend ActiveSupport::Concern

  # More than the limit within its time.
  class TooOften < StandardError
    attr_reader :within

    def initialize(within)
      @within = within
      super("That was asked for too often from here. Wait #{(within / 60.0).ceil} min, then try again.")
    end
  end

  class_methods do
    # @param count [Integer] requests that may be made
    # @param within [ActiveSupport::Duration]
    # @param by [Symbol] method that says who counts together
    def at_most(count, within:, by: :asker, **options)
      key = "#{by}-#{count}-#{within.to_i}"
      rate_limit to: count, within: within, by: -> { "#{key}-#{send(by)}" }, with: -> { raise TooOften.new(within) },
                 **options
    end
  end

  private

  # A session, or the address of a device where nobody has signed in.
  def asker = Current.session&.id || request.remote_ip

  def too_often(error)
    response.headers["Retry-After"] = error.within.to_i.to_s
    tell({ sentence: error.message, where: "", again: true }, :too_many_requests)
  end
end
