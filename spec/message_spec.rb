# frozen_string_literal: true

RSpec.describe Graver::Message do
  let(:message) { described_class.of("faults.between", least: 0.1, most: 200) }

  it "is said in the English of whoever asks, wherever Ruby wants a text" do
    part = described_class.of("timeline.order", axle: "front", part: "rotors")
    english = %w[us uk].map { |each| Graver::Say::Spoken.in(each) { part.to_s } }
    expect(english).to eq(["Order front rotors", "Order front discs"])
    expect(["> #{message}", JSON.generate([message]), ["a", message].join(" ")]).to eq(
      ["> Enter a value from 0.1 to 200.", '["Enter a value from 0.1 to 200."]', "a Enter a value from 0.1 to 200."]
    )
  end

  it "says figures by their names, distances in the owner's unit, and the tokens of its own tokens" do
    said =
      lambda do |unit|
        described_class.new(
          :measured,
          "{a_mm} mm, {b_km}, {chance}",
          tokens: {
            "a_mm" => 3.04,
            "b_km" => 15_234.2,
            "chance" => 1.0
          },
          unit:
        )
      end
    expect(plain([said["km"], said["mi"]])).to eq(["3.0 mm, 15,000 km, over 99 %", "3.0 mm, 9,500 mi, over 99 %"])
    inner = described_class.new(:plain, "{n} left", tokens: { n: 2 })
    expect(described_class.new(:plain, "{inner}!", tokens: { inner: }).to_s).to eq("2 left!")
    expect(described_class.part("left rotor").to_s).to eq("left rotor")
  end

  it "compares as data among messages and as a text with texts" do
    same = described_class.of("faults.between", least: 0.1, most: 200)
    expect([message == "Enter a value from 0.1 to 200.", [message, same].uniq.length]).to eq([true, 1])
    expect([message, described_class.of("faults.between", least: 1, most: 2)].uniq.length).to eq(2)
  end

  it "has one voice" do
    expect { described_class.said_by(:upcase.to_proc) }.to raise_error(Graver::Error)
  end
end
