# frozen_string_literal: true

require "prop_check"
require_relative "../support/job_helper"

# A job as a state machine: whatever its owner does in whatever order, with ticks lost on the way and sent again.
RSpec.describe "A job, walked at random" do
  include JobHelper

  let(:scopes) { [%w[pads], %w[pads clips], %w[pads rotors_new], %w[pads pins clips]] }

  before do
    complete
    know(front, ["rotor.retention", "nothing", nil], %w[bracket_bolt.torque 105 N·m])
    make_ready
  end

  def make_ready
    resolve_all
    ask(:patch, address, { state: "ready", because: "So be it" })
  end

  # What a phone asks, each time of a context of its own, as a request has it.
  def ticks = Graver::Service::Jobs::JobTicks.new(context.for_request)
  def jobs = Graver::Service::Jobs::JobChanges.new(context.for_request)
  def on_file = context.store.jobs.find(job["id"])
  def placed = Graver::Service::Jobs::JobPlan.new(context.for_request).ordered(on_file).placed
  def taken
    yield && true
  rescue Graver::InvalidEntry
    false
  end

  # Gates of the same corner, and of the whole vehicle before it, that stand earlier: told from the order alone.
  def gates_before(step)
    earlier = placed.take_while { |each| each.key != step.key }.select { |each| each.step.mandatory }
    earlier.select { |each| each.axle.nil? || [each.axle, each.side] == [step.axle, step.side] }.map(&:key)
  end

  # kind 0 to 3: the next step, as people mostly do; 4 and 5: any
  def act(kind, number, model)
    any = placed[number % placed.length]
    case kind
    when 0..3
      tick(placed.find { |each| !model.include?(each.key) } || any, model)
    when 4..5
      tick(any, model)
    when 6
      untick(any, model)
    when 7
      answered_for(any, model)
    else
      plan_anew(scopes[number % scopes.length])
    end
  end

  def plan_anew(works)
    taken { jobs.scope(job["id"], { front.to_s => works }, { front.to_s => "Lip" }) }
    make_ready if on_file.state == "draft"
  end

  def untick(step, model)
    ticks.tick(job["id"], [step.key], false)
    model.delete(step.key)
  end

  def tick(step, model)
    open = gates_before(step) - model.to_a - on_file.deviations.keys
    return unless sent_twice(step.key)

    model.add(step.key)
    expect([step.key, open]).to eq([step.key, []])
  end

  # The answer is lost, and the phone sends it again.
  def sent_twice(key)
    sent = Array.new(2) { taken { ticks.tick(job["id"], [key], true) } }.uniq
    expect(sent.length).to eq(1)
    sent.first
  end

  def answered_for(step, model)
    before = on_file.deviations.key?(step.key)
    return unless taken { ticks.deviate(job["id"], step.key, "Another way") }

    expect([step.step.safety_critical, before]).to eq([false, before])
    model.delete(step.key) unless on_file.ticked.include?(step.key)
  end

  def expect_unfinished(model)
    killing =
      placed.select { |each| each.step.safety_critical && each.step.stage != "afterwards" }.map(&:key) - model.to_a
    return if killing.empty?

    expect(finish["error"]["fields"].map { |fault| fault["field"] }).to include(*killing.map { |key| "steps.#{key}" })
  end

  it "loses no tick, passes no mandatory step and doesn't end before safety steps" do
    actions = PropCheck::Generators.tuple(PropCheck::Generators.choose(0..8), PropCheck::Generators.choose(0..999))
    PropCheck
      .forall(PropCheck::Generators.array(actions, min: 110, max: 110))
      .with_config(n_runs: 1, max_shrink_steps: 0)
      .check do |walk|
        model = on_file.ticked.to_set
        walk.each do |kind, number|
          act(kind, number, model)
          # what was undone since is done again after a change of plan, and nothing else is lost
          model &= on_file.ticked if kind == 8
          expect(on_file.ticked.to_set).to eq(model)
        end
        expect_unfinished(model)
      end
  end
end
