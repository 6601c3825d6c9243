# frozen_string_literal: true

RSpec.describe Graver::Vocabulary do
  subject(:words) { described_class.new("rotor" => "disc") }

  it "puts sentences into the owner's words, singular and plural, and nothing else" do
    expect(words.call("Rotors and pads; a rotor.")).to eq("Discs and pads; a disc.")
    expect(words.call("ROTOR-1 and rotorcraft")).to eq("ROTOR-1 and rotorcraft")
    expect([words.call(nil), words.call(3)]).to eq([nil, 3])
    expect(described_class.new.call("Rotors")).to eq("Rotors")
  end

  it "leaves keys, ids and what its owner named so in JSON as they are" do
    given = {
      "rotor" => "rotor",
      "part" => "rotor",
      "label" => "rotor",
      "name" => "Rotor, coated",
      "text" => "The \"front\" rotors: \\ thin",
      "list" => ["rotor", "New rotors"],
      "key" => "rotor.discard_thickness"
    }
    expect(JSON.parse(words.json(JSON.generate(given)))).to eq(
      given.merge("label" => "disc", "text" => "The \"front\" discs: \\ thin", "list" => ["rotor", "New discs"])
    )
    expect(described_class.new.json(JSON.generate(given))).to eq(JSON.generate(given))
  end
end
