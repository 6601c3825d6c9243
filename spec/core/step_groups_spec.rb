# frozen_string_literal: true

require_relative "../support/plan_builders"

RSpec.describe Graver::Core::Planning::StepGroups do
  include PlanBuilders

  let(:placed) { sequence.call(lifts(setup("front", %w[pads rotors_new clips], sensors: ["left"]))) }
  let(:step_groups) { described_class.call(placed) }

  it "keeps every step once and in order" do
    expect(step_groups.flatten(1)).to eq(placed)
  end

  it "groups about a third of a front job's steps, and ends each group at a mandatory step" do
    expect(step_groups.length).to be_between(placed.length * 0.65, placed.length * 0.76)
    joined = step_groups.select { |movement| movement.length > 1 }
    expect(joined.flat_map { |movement| movement[..-2] }.select { |each| each.step.mandatory }).to be_empty
    joined.each { |movement| expect(movement.map { |each| [each.place, each.step.stage] }.uniq.length).to eq(1) }
  end

  it "groups neighbours only" do
    hands = step_groups.map { |movement| movement.map(&:key) }
    expect(hands).to include(%w[front.left.push_a_little front.left.hook front.left.pin_bolts_out])
    parted = placed.reject { |each| each.key == "front.left.hook" }
    place = parted.index { |each| each.key == "front.left.pin_bolts_out" }
    between = parted.find { |each| each.key == "front.left.judge" }
    expect(described_class.call(parted).map(&:length)).to include(2)
    apart = described_class.call(parted.dup.insert(place, between))
    expect(apart.map { |movement| movement.map(&:key) }).to include(["front.left.push_a_little"])
  end
end
