# frozen_string_literal: true

require_relative "../benchmarks/guard_run"

# The list of bin/mutate --guards: a bug that can't be planted would pass for a noticed one.
RSpec.describe Benchmarks::GuardRun do
  described_class.all.each do |guard|
    it "can plant what breaks: #{guard.guard}" do
      source = File.read(File.join(Graver::Boot::ROOT, "lib/graver", guard.file))
      expect([source.scan(guard.from).length, guard.from == guard.to]).to eq([1, false])
      expect(guard.specs.map { |spec| File.join(Graver::Boot::ROOT, spec) }).to all(
        satisfy { |path| File.exist?(path) }
      )
    end
  end
end
