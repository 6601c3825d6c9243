# frozen_string_literal: true

module Graver
  module API
    # A guest's device asked for a change, or for the household as a whole.
    class GuestReads < Error
    end
  end
end
