# frozen_string_literal: true

# What every parts counter owes (lib/graver/devices/parts_counter.rb).
RSpec.shared_examples "a parts counter" do
  let(:wanted) { { thickness_mm: 11.5, diameter_mm: nil } }

  it "returns priced offers, cheapest first, the same for the same question" do
    offers = counter.offers(item: "pads", wanted:)
    expect(offers).to all(be_a(Graver::Devices::PartsCounter::Offer))
    expect(offers.map { |offer| Float(offer.price) }).to eq(offers.map { |offer| Float(offer.price) }.sort).and(
      all(be > 0)
    )
    expect(offers.map(&:lead_days)).to all(be_between(0, 365))
    expect(counter.offers(item: "pads", wanted:)).to eq(offers)
  end

  it "returns dimensions only when asked for" do
    expect(counter.offers(item: "pads", wanted:).map(&:thickness_mm)).to all(be_a(Numeric))
    expect(counter.offers(item: "cleaner", wanted: { thickness_mm: nil, diameter_mm: nil }).map(&:thickness_mm)).to all(
      be_nil
    )
  end
end
