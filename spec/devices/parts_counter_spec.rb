# frozen_string_literal: true

require_relative "../contract/parts_counter"

RSpec.describe Graver::Devices::Simulated::PartsCounter do
  let(:counter) { described_class.new(seed: 7) }

  it_behaves_like "a parts counter"

  it "says that it is simulated and offers a wrong variant too" do
    expect(counter).to be_simulated
    expect(
      counter.offers(item: "rotor", wanted: { thickness_mm: 25.0, diameter_mm: 288.0 }).map(&:diameter_mm)
    ).to include(288.0, 302.0)
  end

  it "requires a parts counter to implement its contract" do
    expect { Graver::Devices::PartsCounter.new.offers(item: "pads", wanted: {}) }.to raise_error(
      NotImplementedError,
      /owes offers/
    )
  end
end
