# frozen_string_literal: true

require_relative "../support/plan_builders"

RSpec.describe Graver::Core::Planning::PlanEdits do
  include PlanBuilders

  let(:lifted) { lifts(setup("front", %w[pads rotors_new], retentions: "screws")) }
  let(:base) { sequence.call(lifted) }

  def adjust(*made)
    plan_edits = made.map { |action, key, after, text| described_class::PlanEdit.new(action:, key:, after:, text:) }
    described_class.new(proof(lifted, base)).call(base, plan_edits)
  end

  def why(result)
    result.set_aside.map do |_, faults|
      faults.is_a?(Symbol) ? faults : faults.map { |fault| [fault.placed.step.id, fault.kind, fault.about] }
    end
  end
  def order(result) = result.placed.map(&:key)

  it "inserts and moves an owner's step" do
    result =
      adjust(
        ["insert", "own-1", "front.left.judge", "Photograph the clip"],
        ["insert", "own-2", "front.left.own-1", "And the hose"],
        ["move", "front.left.own-1", "front.left.hook", nil]
      )
    expect(order(result).each_cons(2)).to include(
      %w[front.left.judge front.left.own-2],
      %w[front.left.hook front.left.own-1]
    )
    expect(result.placed.find { |placed| placed.key == "front.left.own-1" }.step).to have_attributes(
      text: "Photograph the clip",
      stage: "strip",
      mandatory: false
    )
  end

  it "leaves out a step nothing depends on, never a mandatory or required one" do
    expect(order(adjust(%w[drop front.left.runout]))).not_to include("front.left.runout")
    expect(why(adjust(%w[drop front.pump]))).to eq([:mandatory])
    expect(why(adjust(%w[drop front.left.hook])).first).to include(%w[pin_bolts_out requires hook_ready])
    expect(why(adjust(%w[drop front.chock]))).to eq([:mandatory])
    expect(why(adjust(%w[drop front.crack_nuts])).first).to include(%w[lift requires nuts_cracked])
    expect(why(adjust(%w[drop chocks_away])).first).to include(%w[first_stops forbids chocked])
    expect(why(adjust(%w[drop nowhere]))).to eq([:gone])
  end

  # What kills: the pedal pumped with a caliper open, the road before the nuts; common practice, no source.
  it "rejects pumping with a caliper off, or lowering before the pedal is firm" do
    expect(why(adjust(%w[move front.pump front.left.pads_out])).first).to include(
      %w[pump forbids caliper_open],
      %w[pump requires side_done]
    )
    expect(why(adjust(%w[move front.lower front.nuts_by_hand])).first).to include(%w[lower requires pedal_firm])
    expect(why(adjust(%w[move first_stops front.lower])).first).to include(%w[first_stops requires nuts_torqued])
    expect(why(adjust(%w[move front.left.degrease front.left.bracket_on])).first).to include(
      %w[rotor_on requires rotor_ready]
    )
  end

  it "checks an owner's step for hazards, and no step comes before the chocks" do
    expect(why(adjust(["insert", "own-1", "front.pump", "Start the engine, pump again"])).first).to include(
      %w[own-1 requires held],
      %w[own-1 forbids raised]
    )
    expect(order(adjust(["insert", "own-1", "engine_pedal", "Engine running: watch the lamp"]))).to include("own-1")
    expect(why(adjust(%w[move front.crack_nuts front.park])).first).to include(%w[crack_nuts requires chocked])
  end

  it "keeps other edits when one is rejected" do
    result = adjust(%w[drop front.left.runout], %w[drop front.star], ["insert", "own-9", nil, "Tea"])
    expect(result.set_aside.length).to eq(1)
    expect(order(result)).to start_with("own-9").and(
      satisfy { |keys| !keys.include?("front.left.runout") && keys.include?("front.star") }
    )
  end
end
