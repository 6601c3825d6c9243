# frozen_string_literal: true

module Graver
  module API
    # An answer that leaves a cookie with the browser, or takes it away (value nil). seconds: how long it is kept
    WithCookie = Struct.new(:answer, :value, :seconds)
  end
end
