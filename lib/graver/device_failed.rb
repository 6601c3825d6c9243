# frozen_string_literal: true

module Graver
  # A device does not answer: not connected, or its line dropped.
  class DeviceFailed < Error
  end
end
