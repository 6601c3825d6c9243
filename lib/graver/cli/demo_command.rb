# frozen_string_literal: true

require "fileutils"
require "yaml"

module Graver
  module CLI
    # graver fill-demo FILE: makes the demo database if it is missing.
    class DemoCommand
      HOUSEHOLD = File.join(Boot::ROOT, "demo/household.yml")

      def initialize(out: $stdout, err: $stderr)
        @out = out
        @err = err
      end

      def call(arguments)
        path = arguments.first or return wrong_call
        return 0 if File.exist?(path)

        fill("#{path}.new")
        File.rename("#{path}.new", path)
        @out.puts "Filled a made-up household into #{path}"
        0
      end

      private

      def wrong_call
        @err.puts "usage: graver fill-demo FILE"
        2
      end

      # Fills a temporary file, so that an interrupted run is never taken for a household.
      def fill(path)
        FileUtils.rm_f(Dir.glob("#{path}*"))
        context = Boot.context(ENV.to_h.merge("GRAVER_DATABASE" => path))
        Service::Tables::LoadHousehold.new(context).call(YAML.safe_load_file(HOUSEHOLD))
        context.store.close
        # what it says is true of this name only
        FileUtils.rm_f("#{path}.sums")
      end
    end
  end
end
