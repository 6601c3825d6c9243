# frozen_string_literal: true

# Loaded before the specs: notes which example enters which line of lib/graver, into the file GRAVER_ENTERED names.
require "coverage"
require "json"

Coverage.start(lines: true, methods: true)
ROOT = File.expand_path("../lib/graver", __dir__)

RSpec.configure do |config|
  entered = Hash.new { |lines, line| lines[line] = [] }
  seconds = {}
  before = {}
  # For a method on one line only the definition is counted: then its calls count.
  entries =
    lambda do |result|
      calls = result[:methods].select { |(_, _, from, _, upto, _), _| from == upto }
      calls.each_with_object(result[:lines].dup) { |((_, _, line, *), count), lines| lines[line - 1] = count }
    end
  counts =
    lambda do
      Coverage
        .peek_result
        .select { |path, _| path.start_with?(ROOT) }
        .transform_values { |result| entries.call(result) }
    end

  config.before { before = counts.call }
  config.append_after do |example|
    counts.call.each do |path, lines|
      was = before[path]
      lines.each_with_index do |count, at|
        entered["#{path}:#{at + 1}"] << example.id if count && count > (was ? was[at].to_i : 0)
      end
    end
    seconds[example.id] = (Time.now - example.execution_result.started_at).round(2)
  end
  config.after(:suite) { File.write(ENV.fetch("GRAVER_ENTERED"), JSON.generate({ entered:, seconds: })) }
end
