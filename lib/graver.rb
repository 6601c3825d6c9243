# frozen_string_literal: true

require "zeitwerk"

# Every file under lib/graver holds the constant its path says, loaded when it is first named.
module Graver
  LOADER =
    Zeitwerk::Loader.new.tap do |loader|
      loader.tag = "graver"
      loader.inflector.inflect("api" => "API", "cli" => "CLI")
      loader.push_dir(File.join(__dir__, "graver"), namespace: Graver)
      loader.ignore(File.join(__dir__, "graver/setup_check.rb"), File.join(__dir__, "graver/storage/migrations"))
      # Folders that sort files for readers and are no namespaces.
      loader.collapse(File.join(__dir__, "graver/{service/jobs,core/planning}/*"))
      loader.setup
    end

  Message.said_by(->(message) { Say::Voice.call(message) })
end
