# frozen_string_literal: true

module Graver
  module API
    # An answer that sets a cookie, or removes it (value nil). seconds: its lifetime
    WithCookie = Struct.new(:answer, :value, :seconds)
  end
end
