# frozen_string_literal: true

require "json"
require "open3"

# Programs that know nothing of Graver and check what it makes. bin/setup --test installs them.
module Stranger
  # Debian's own: another Python on the path may not have the libraries.
  PYTHON = "/usr/bin/python3"

  module_function

  # -> what it printed. Raises with its complaint if it fails.
  def run(*command, input: "", chdir: Dir.pwd)
    printed, complaint, status = Open3.capture3(*command, stdin_data: input, binmode: true, chdir:)
    raise "#{command.first}: #{complaint}#{printed}" unless status.success?

    printed.force_encoding(Encoding::UTF_8)
  end

  # A Python script given `given` as JSON on its input -> what it prints as JSON
  def python(script, given)
    JSON.parse(
      run(PYTHON, "-c", "import json, sys\ngiven = json.load(sys.stdin)\n#{script}", input: JSON.generate(given))
    )
  end
end
