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

  it "follows the owner where the approach has a place, and its default everywhere else" do
    expect(unit(approaches, "one")).to eq(["unit.one"])
    expect(unit(approaches, nil)).to eq(["unit.apart"])
    expect(unit(approaches, "one", brackets: "stays")).to eq(["unit.apart"])
    expect(unit(approaches, "one", work: %w[rotor_off caliper])).to eq(["unit.apart"])
  end

  it "takes the default for a choice that is there no more" do
    expect(unit(approaches, "sideways")).to eq(["unit.apart"])
  end
end
