# frozen_string_literal: true

module Graver
  # Puts the bundled gems on the load path; on a machine where they are missing, installs them first.
  module SetupCheck
    ROOT = File.expand_path("../..", __dir__)

    module_function

    def call
      ENV["BUNDLE_GEMFILE"] ||= File.join(ROOT, "Gemfile")
      ENV["BUNDLE_PATH"] ||= File.join(ROOT, "vendor/bundle")
      require "bundler"
      Bundler.setup
    rescue LoadError, StandardError => e
      raise if ENV["GRAVER_SET_UP"]

      warn "Setting up first (#{e.class})."
      system({ "GRAVER_SET_UP" => "1" }, File.join(ROOT, "bin/setup"), "--gems", out: :err) or abort "bin/setup failed"
      exec({ "GRAVER_SET_UP" => "1" }, $PROGRAM_NAME, *ARGV)
    end
  end
end
