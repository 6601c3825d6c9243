# frozen_string_literal: true

RSpec.describe Graver::Core::Planning::Approaches do
  approaches = {
    "unit" => {
      "default" => "apart",
      "where" => {
        "brackets" => ["separate"]
      },
      "unless" => {
        "work" => ["caliper"]
      },
      "options" => {
        "apart" => {
        },
        "one" => {
        }
      }
    }
  }

  def unit(approaches, chosen, brackets: "separate", work: ["rotor_off"])
    described_class.call(approaches, { "unit" => chosen }, { "brackets" => brackets, "work" => work })
  end

  it "uses the owner's choice where the approach applies, and the default elsewhere" do
    expect(unit(approaches, "one")).to eq(["unit.one"])
    expect(unit(approaches, nil)).to eq(["unit.apart"])
    expect(unit(approaches, "one", brackets: "stays")).to eq(["unit.apart"])
    expect(unit(approaches, "one", work: %w[rotor_off caliper])).to eq(["unit.apart"])
  end

  it "uses the default for a choice that no longer exists" do
    expect(unit(approaches, "sideways")).to eq(["unit.apart"])
  end
end
