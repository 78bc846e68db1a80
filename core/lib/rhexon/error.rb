module Rhexon
  # What every error of the core is.
  class Error < StandardError; end
end
