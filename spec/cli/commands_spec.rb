# frozen_string_literal: true

require "open3"
require "tmpdir"

RSpec.describe "The commands" do
  root = File.expand_path("../..", __dir__)

  def run(*command, env: {}) = Open3.capture3(env, *command)

  it "answer a wrong call with their usage" do
    [
      %w[bin/demo --nope],
      %w[bin/serve --port x],
      ["bin/graver"],
      %w[bin/graver dance],
      %w[bin/bench dance]
    ].each do |command, *arguments|
      _, errors, status = run(File.join(root, command), *arguments)
      expect([errors, status.success?]).to match([/usage:|needs a number/, false]), command
    end
  end

  it "name the missing system package and stop if they may not install it" do
    Dir.mktmpdir do |folder|
      # somebody who is not root, and no browser there
      File.write(File.join(folder, "id"), "#!/bin/sh\necho 1000\n", perm: 0o755)
      output, _, status =
        run(
          File.join(root, "bin/setup"),
          "--test",
          env: {
            "PATH" => "#{folder}:#{ENV.fetch("PATH")}",
            "GRAVER_CHROMIUM" => "no-such-browser"
          }
        )
      expect([output, status.exitstatus]).to match([/missing.*apt-get install .*chromium/m, 1])
    end
  end

  it "do nothing when set up again" do
    output, errors, status = run(File.join(root, "bin/setup"))
    expect([output, errors, status.success?]).to eq(["", "", true])
  end
end
