# frozen_string_literal: true

require "tmpdir"
require "yaml"

module Benchmarks
  # Plants the hand-written bugs of guards.yml one at a time and runs the specs that must notice.
  class GuardRun
    ROOT = File.expand_path("..", __dir__)
    LOADER = File.join(__dir__, "mutant_loader.rb")
    TIMEOUT = 240
    Guard = Struct.new(:guard, :file, :from, :to, :specs, keyword_init: true)

    def self.all = YAML.safe_load_file(File.join(__dir__, "guards.yml")).map { |each| Guard.new(**each) }

    # -> exit status: 0 when every bug is noticed
    def print_to(out)
      Dir.mktmpdir do |folder|
        left =
          self.class.all.reject { |guard| noticed?(guard, folder).tap { |noticed| out.print(noticed ? "." : "S") } }
        out.puts
        left.each { |guard| out.puts "Not noticed: #{guard.guard} (#{guard.file})" }
        out.puts "#{self.class.all.length - left.length} of #{self.class.all.length} noticed."
        left.empty? ? 0 : 1
      end
    end

    private

    def noticed?(guard, folder)
      file = File.join(ROOT, "lib/graver", guard.file)
      text = File.join(folder, "mutant.rb")
      File.write(text, File.read(file).sub(guard.from) { guard.to })
      command = ["timeout", TIMEOUT.to_s, "bundle", "exec", "rspec", "--options", File::NULL, "-r", LOADER]
      !system(
        { "GRAVER_MUTANT_FILE" => file, "GRAVER_MUTANT_TEXT" => text },
        *command,
        "-r",
        "spec_helper",
        "--fail-fast",
        *guard.specs,
        chdir: ROOT,
        out: File::NULL,
        err: File::NULL
      )
    end
  end
end
