# frozen_string_literal: true

require_relative "../support/random_brakes"

# What a mechanic expects of a brake that was changed of mind over: common practice, no source. `TOGETHER` says which
# steps put back what a step takes off; it is written from the work, not from the procedure's facts.
RSpec.describe Graver::Core::Planning::Replan do
  include RandomBrakes

  let(:procedure) { KNOWLEDGE.procedure }
  let(:together) do
    {
      "trim_off" => %w[trim_on],
      "crack_nuts" => %w[star star_touching],
      "lift" => %w[lower lower_from_jack],
      "lift_both" => %w[lower_other_end],
      "service_mode" => %w[motor_closed],
      "service_mode_after" => %w[motor_closed],
      "wheel_off" => %w[nuts_by_hand],
      "wheel_off_impact" => %w[nuts_by_hand],
      "cable_off" => %w[cable_on],
      "sensor_off" => %w[sensor_on],
      "hose_holder_off" => %w[hose_holder_on],
      "abs_lead_off" => %w[leads_clipped],
      "hose_clamped" => %w[hose_unclamped],
      "spring_off" => %w[spring_on],
      "screw_open_first" => %w[screw_closed],
      "screw_open" => %w[screw_closed],
      "unit_off" => %w[unit_on unit_bracket_on],
      "unit_opened" => %w[unit_pin_bolts_in],
      "pin_bolts_out" => %w[pin_bolts_in],
      "swing_up" => %w[pin_bolts_in],
      "guide_bolts_out" => %w[guide_bolts_in],
      "pad_pins_out" => %w[pad_pins_in],
      "bike_pin_loose" => %w[bike_pin_in],
      "bike_caliper_off" => %w[bike_caliper_on],
      "springs_out" => %w[springs_in pad_pins_in],
      "pads_out" => %w[pads_in pads_back],
      "fixed_caliper_off" => %w[fixed_caliper_on],
      "hose_off_banjo" => %w[hose_on_banjo],
      "hose_off_screwed" => %w[hose_on_screwed],
      "pipe_off" => %w[pipe_on],
      "body_end_off" => %w[body_end_on body_end_on_last],
      "body_end_off_pipe" => %w[body_end_on_pipe],
      "bracket_off" => %w[bracket_on],
      "bike_wheel_out" => %w[bike_wheel_in],
      "adjuster_back" => %w[shoes_set],
      "rotor_screws_out" => %w[rotor_screws_in],
      "ring_off" => %w[ring_on],
      "hub_ring_out" => %w[hub_ring_in],
      "rotor_bolts_out" => %w[rotor_bolts_in],
      "half_shaft_out" => %w[half_shaft_in],
      "hub_nut_off" => %w[hub_on],
      **%w[wheel caliper bracket rotor].to_h { |place| ["own_1_off_#{place}", ["own_1_on_#{place}"]] },
      "rotor_hub_bolts_out" => %w[rotor_on_hub],
      "lower_one_end" => %w[lower_other_end],
      "rotor_off" => %w[rotor_on hub_on]
    }
  end
  let(:opened) { %w[hose_off_banjo hose_off_screwed body_end_off body_end_off_pipe pipe_off] }
  let(:bled) { %w[bleed bleed_gravity bleed_pressure bleed_pump_again] }

  def builder
    Graver::Core::Planning::Lifts.new(
      joined: KNOWLEDGE.scope["joined"],
      bleed_order: ->(corners) { Graver::Core::Planning::BleedOrder.call(corners, order: "diagonal", near: "left") }
    )
  end

  # What was done, in the order it was done: [[key, PlannedStep]] of a plan as far as it got.
  def work(lifts, placed, held, done = [])
    places = Graver::Core::Planning::FactPlaces.new(procedure, lifts)
    state = Graver::Core::Planning::BrakeState.new(procedure, held)
    placed.each { |each| state = state.after(places.of(each)) unless done.include?(each.key) }
    state
  end

  # Steps whose counterpart does not follow at the same wheel.
  def left_apart(history)
    undone =
      history.each_with_index.select do |placed, at|
        after = ids_after(history, at)
        wanted = [together[placed.step.id], (bled if opened.include?(placed.step.id))].compact
        wanted.any? { |steps| !after.intersect?(steps) }
      end
    undone.map { |placed, _| placed.key }
  end

  def ids_after(history, at)
    history.drop(at + 1).select { |each| same_wheel?(each, history[at]) }.map { |each| each.step.id }
  end

  # Fasteners undone and not tightened afterwards.
  def left_loose(history)
    history.each_with_index.flat_map do |placed, at|
      after = history.drop(at + 1).select { |each| same_wheel?(each, placed) }.flat_map { |each| each.step.tighten }
      (placed.step.fasteners - placed.step.tighten - after).map { |fastener| "#{placed.key} #{fastener}" }
    end
  end

  def same_wheel?(one, other)
    one.axle.nil? || other.axle.nil? || [one.axle, one.side] == [other.axle, other.side] || one.side == "both" ||
      other.side == "both"
  end

  def any_job
    PropCheck::Generators.tuple(
      any(kinds),
      choices,
      choices,
      choices,
      any([%w[front], %w[rear], %w[front rear]]),
      any([%w[front], %w[rear], %w[front rear], []]),
      PropCheck::Generators.choose(0..1000)
    )
  end

  # A brake, worked as far as a random step, is planned anew with other works and approaches. brakes: choices of the
  # front, the rear and what is wanted then; axles: those of the job, and those wanted then -> [ticked, Result, held]
  def change(kind, brakes, axles, share)
    front, rear, other = brakes
    brake = { "front" => front, "rear" => rear }
    lifts, ticked, held = begun(axles.first.map { |axle| random_setup(axle, kind, brake[axle]) }, share)
    wanted =
      axles.last.map { |axle| random_setup(axle, kind, axles.first.include?(axle) ? mixed(brake[axle], other) : other) }
    planner = described_class.new(procedure, sequence, builder)
    [ticked, planner.call(wanted, lifts, held, ticked.map(&:key)), held]
  end

  # A job that got as far as a share of its steps -> [[Lift], [PlannedStep], [place]]
  def begun(setups, share)
    lifts = builder.call(setups)
    placed = sequence.call(lifts)
    ticked = placed.take(placed.length * share / 1001)
    [lifts, ticked, work(lifts, ticked, []).to_a]
  end

  # The same brake, with other works and approaches.
  def mixed(brake, other) = brake.zip(other).each_with_index.map { |(mine, new), at| [5, 6].include?(at) ? new : mine }

  it "replans an unchanged job to the same steps" do
    PropCheck.forall(any_job) do |kind, front, rear, _, axles, _, share|
      setups = axles.map { |axle| random_setup(axle, kind, axle == "front" ? front : rear) }
      lifts = builder.call(setups)
      placed = sequence.call(lifts)
      ticked = placed.take(placed.length * share / 1001)
      held = work(lifts, ticked, []).to_a
      result = described_class.new(procedure, sequence, builder).call(setups, lifts, held, ticked.map(&:key))
      expect(result.placed.map(&:key)).to eq(placed.map(&:key))
      expect(result.done).to eq(ticked.map(&:key))
    end
  end

  it "plans every brake back together, whatever changes midway" do
    refused = walked = 0
    PropCheck
      .forall(any_job)
      .with_config(n_runs: ENV.fetch("GRAVER_CHANGES", "120").to_i)
      .check do |kind, front, rear, other, was, wanted, share|
        walked += 1
        begin
          ticked, result, held = change(kind, [front, rear, other], [was, wanted], share)
        rescue Graver::Core::Planning::ReplanWalk::Impossible => e
          warn e.message if ENV["GRAVER_CHANGES"]
          refused += 1
          next
        end
        rest = result.placed.reject { |each| result.done.include?(each.key) }
        expect(
          proof(result.lifts, result.placed)
            .call(result.placed, held:, done: result.done)
            .reject { |f| f.kind == "needs" }
        ).to be_empty
        history = ticked + rest
        expect([left_apart(history), left_loose(history)]).to eq([[], []])
        expect(work(result.lifts, result.placed, held, result.done).apart).to be_empty
      end
    expect(refused.to_f / walked).to be < 0.15
  end
end
