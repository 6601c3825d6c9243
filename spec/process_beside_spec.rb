# frozen_string_literal: true

RSpec.describe Graver::ProcessBeside do
  it "runs one at a time, starts again when it has ended, and reports no end twice" do
    beside = described_class.new(%w[sleep 0.2])
    expect(beside).not_to be_running
    beside.start
    first = beside.instance_variable_get(:@id)
    beside.start
    expect(beside.instance_variable_get(:@id)).to eq(first)
    sleep 0.05 while beside.running?
    beside.start
    expect(beside.instance_variable_get(:@id)).not_to eq(first)
    2.times { beside.stop }
    expect(beside).not_to be_running
  end
end
