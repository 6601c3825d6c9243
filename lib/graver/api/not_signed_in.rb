# frozen_string_literal: true

module Graver
  module API
    # A request over the network without a session that stands.
    class NotSignedIn < Error
    end
  end
end
