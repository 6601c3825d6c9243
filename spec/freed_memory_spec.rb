# frozen_string_literal: true

RSpec.describe Graver::FreedMemory do
  def after(*resident)
    memory = described_class.new(resident: -> { resident.shift&.*(1 << 20) })
    Array.new((resident.length / 2.0).ceil) { memory.give_back }
  end

  it "gives back when it has grown enough since the last time" do
    expect(after(100, 90, 105, 107, 95)).to eq([true, false, true])
  end

  it "does nothing where the system doesn't say how much it has" do
    expect(described_class.new(resident: -> {}).give_back).to be(false)
  end

  # Small strings go to glibc's heap, and the last one keeps its end.
  it "makes the process smaller", if: File.file?("/proc/self/statm") do
    resident = -> { File.read("/proc/self/statm").split[1].to_i * 4096 }
    strings = Array.new(20_000) { "x" * 4000 }
    kept = strings.last
    full = resident.call
    strings.clear
    GC.start
    described_class.new.give_back
    expect(full - resident.call).to be > 20 << 20
    expect(kept.length).to eq(4000)
  end
end
