# frozen_string_literal: true

$LOAD_PATH.unshift File.expand_path("lib", __dir__)
require "graver/boot"

run Graver::Boot.rack(Graver::Boot.context)
