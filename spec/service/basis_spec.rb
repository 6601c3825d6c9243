# frozen_string_literal: true

require_relative "../support/plan_builders"

RSpec.describe Graver::Service::Jobs::Basis do
  include PlanBuilders

  # A job that began before drums and trailers were known must not lose its pedal when it is planned anew.
  it "knows the brakes of an older job as discs worked by fluid" do
    setup = setup("front", ["pads"])
    lifts = lifts(setup)
    placed = sequence.call(lifts)
    kept = described_class.entry(setups: [setup], lifts:, placed:, bleed: nil, held: [], done: [])
    old = JSON.parse(JSON.generate(kept))
    configurations =
      [*old["setups"], *old["lifts"].flat_map { |lift| lift["corners"] }].map { |each| each["configuration"] }
    configurations.each { |each| %w[brakes hydraulics].each { |name| each.delete(name) } }
    basis = described_class.new(KNOWLEDGE, old)
    expect(sequence.call(basis.lifts).map(&:key)).to eq(placed.map(&:key))
    expect(basis.setups.first.configuration).to include("brakes" => "disc", "hydraulics" => "fluid")
  end
end
