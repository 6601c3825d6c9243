# frozen_string_literal: true

$LOAD_PATH.unshift File.expand_path("lib", __dir__)
require "graver"

begin
  run Graver::Boot.served
rescue Graver::Error, Sequel::Error, SystemCallError => e
  abort "Graver cannot start: #{e.message}"
end
