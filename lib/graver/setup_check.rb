# frozen_string_literal: true

module Graver
  # Puts the bundled gems on the load path; on a machine where they are missing, installs them first.
  module SetupCheck
    ROOT = File.expand_path("../..", __dir__)

    module_function

    def call
      # Plain C is ASCII, and Bundler then fails in a folder such as "für mich".
      again("LC_ALL" => "C.UTF-8") unless Encoding.find("locale") == Encoding::UTF_8 || ENV["LC_ALL"] == "C.UTF-8"
      ENV["BUNDLE_GEMFILE"] ||= File.join(ROOT, "Gemfile")
      require "bundler"
      Bundler.setup
    rescue LoadError, StandardError => e
      raise if ENV["GRAVER_SET_UP"]

      warn "Setting up first (#{e.class})."
      system(File.join(ROOT, "bin/setup"), "--gems", out: :err) or abort "bin/setup failed"
      again("GRAVER_SET_UP" => "1")
    end

    def again(environment) = exec(environment, $PROGRAM_NAME, *ARGV)
  end
end
