# frozen_string_literal: true

module Graver
  # Reports our own bugs to whoever runs the server.
  module ErrorLog
    def self.report(error) = warn("#{error.class}: #{error.message}\n#{Array(error.backtrace).first(8).join("\n")}")
  end
end
