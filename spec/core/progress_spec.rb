# frozen_string_literal: true

require "prop_check"
require_relative "../support/plan_builders"

# What may be ticked when: common practice, no source.
RSpec.describe Graver::Core::Planning::Progress do
  include PlanBuilders

  let(:works) { ["pads"] }
  let(:both) { lifts(setup("front", works), setup("rear", works, parking_brakes: "cable")) }
  let(:placed) { sequence.call(both) }

  def at(key) = placed.find { |each| each.key == key } || raise("#{key} is missing")
  def progress(*done) = described_class.new(proof(both, placed), placed, done)
  def waits(key, *done) = progress(*done).waits_for(at(key)).map(&:key)
  def before(key) = placed.take_while { |each| each.key != key }.map(&:key)

  it "allows the first step, and no safety-critical step before its prerequisites" do
    expect(waits("settle")).to be_empty
    expect(waits("front.lift")).to include("front.chock", "settle")
    expect(waits("first_stops")).to include("front.pump", "front.star", "rear.pump", "rear.star", "level_after")
    expect(waits("rear.lower")).to include("rear.pump", "rear.left.corner_check", "rear.right.corner_check")
  end

  it "waits only for open mandatory steps and for steps that add what it needs" do
    expect(waits("first_stops", *before("first_stops"))).to be_empty
    # a runout that nobody measured bars no wheel
    loose = before("front.lower") - placed.reject { |each| each.step.mandatory }.map(&:key)
    expect(waits("front.lower", *loose)).to all(satisfy { |key| !key.match?(/runout|gauge_pads/) })
  end

  it "allows one wheel while the other waits, but not the second axle before the first is down" do
    left = before("front.right.wheel_off").grep(/settle|compare|cool|level|front\.(park|chock|crack|lift|shake)/)
    expect(waits("front.right.wheel_off", *left).grep(/front\.left/)).to be_empty
    expect(waits("rear.lift", *before("rear.lift").grep_v(/front\.(star|pump|lower)/))).to include(
      "front.pump",
      "front.lower",
      "front.star"
    )
  end

  # Steps no mandatory one stands for: only what they need, or what must not be there yet, holds them.
  it "waits for a step that is needed first, and for what must be gone" do
    expect(waits("front.left.pads_in", *before("front.left.pads_in") - ["front.left.pad_backs"])).to eq(
      ["front.left.pad_backs"]
    )
    expect(waits("front.left.read_rotor", *before("front.left.read_rotor") - ["front.left.pads_out"])).to eq(
      ["front.left.pads_out"]
    )
    # the pads are out until they are back in
    expect(waits("front.left.corner_check", *before("front.left.corner_check") - ["front.left.pads_in"])).to eq(
      ["front.left.pads_in"]
    )
  end

  it "counts the open mandatory steps of the stages asked for" do
    stages = KNOWLEDGE.procedure.stages.map(&:id) - ["afterwards"]
    mandatory = placed.select { |each| each.step.mandatory && each.step.stage != "afterwards" }.map(&:key)
    expect(progress.open_mandatory(stages).map(&:key)).to eq(mandatory)
    expect(progress(*mandatory.drop(1)).open_mandatory(stages).map(&:key)).to eq(mandatory.first(1))
    expect(progress.open_mandatory([])).to be_empty
  end

  # Whatever was ticked so far: what may be ticked next never breaks the order, and there is always something to go
  # on with.
  it "reaches the end by ticking available steps in any order" do
    PropCheck
      .forall(PropCheck::Generators.array(PropCheck::Generators.choose(0..7), min: 20, max: 20))
      .with_config(n_runs: 2)
      .check do |picks|
        done = []
        until done.length == placed.length
          now = described_class.new(proof(both, placed), placed, done)
          free = placed.reject { |each| done.include?(each.key) }.select { |each| now.waits_for(each).empty? }
          raise "nothing to go on with after #{done.last}" if free.empty?

          done << free[picks[done.length % picks.length] % free.length].key
        end
        places =
          %w[
            front.chock
            front.lift
            front.pump
            front.lower
            front.star
            rear.lift
            rear.pump
            rear.lower
            rear.star
            first_stops
          ].map { |key| done.index(key) }
        expect(places).to eq(places.sort)
      end
  end
end
