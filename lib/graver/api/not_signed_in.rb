# frozen_string_literal: true

module Graver
  module API
    # A request from the network without a valid session.
    class NotSignedIn < Error
    end
  end
end
