# frozen_string_literal: true

require "prop_check"
require_relative "../support/job_helper"

# A job as a state machine: whatever its owner does in whatever order, with ticks lost on the way and sent again.
RSpec.describe "A job, walked at random" do
  include JobHelper

  SCOPES = [%w[pads], %w[pads clips], %w[pads rotors_new], %w[pads pins clips]].freeze

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
  def ticks = Graver::Service::Planning::JobTicks.new(context.for_request)
  def jobs = Graver::Service::Planning::Jobs.new(context.for_request)
  def on_file = context.store.jobs.find(job["id"])
  def placed = Graver::Service::Planning::JobPlan.new(context.for_request).ordered(on_file).placed
  def taken
    yield && true
  rescue Graver::InvalidEntry
    false
  end

  # Gates of the same corner, and of the whole vehicle before it, that stand earlier: told from the order alone.
  def gates_before(step)
    earlier = placed.take_while { |each| each.key != step.key }.select { |each| each.step.gate }
    earlier.select { |each| each.axle.nil? || [each.axle, each.side] == [step.axle, step.side] }.map(&:key)
  end

  def act(kind, number, model)
    step = placed[number % placed.length]
    case kind
    when 0..5
      # mostly what is next, as people do
      step = placed.find { |each| !model.include?(each.key) } || step if kind < 4
      tick(step, model)
    when 6
      ticks.tick(job["id"], [step.key], false)
      model.delete(step.key)
    when 7
      answered_for(step, model)
    else
      scope = { front.to_s => SCOPES[number % SCOPES.length] }
      reason = { front.to_s => "Lip" }
      taken { jobs.scope(job["id"], scope, reason) }
      make_ready if on_file.state == "draft"
    end
  end

  def tick(step, model)
    open = gates_before(step) - model.to_a - on_file.otherwise.keys
    # the answer is lost, and the phone sends it again
    sent = Array.new(2) { taken { ticks.tick(job["id"], [step.key], true) } }
    expect(sent.uniq.length).to eq(1)
    model.add(step.key) if sent.first
    expect([step.key, open]).to eq([step.key, []]) if sent.first
  end

  def answered_for(step, model)
    before = on_file.otherwise.key?(step.key)
    return unless taken { ticks.otherwise(job["id"], step.key, "Another way") }

    expect([step.step.kills, before]).to eq([false, before])
    model.delete(step.key) unless on_file.ticked.include?(step.key)
  end

  def expect_unfinished(model)
    killing = placed.select { |each| each.step.kills && each.step.stage != "follow_up" }.map(&:key) - model.to_a
    return if killing.empty?

    expect(finish["error"]["fields"].map { |fault| fault["field"] }).to include(*killing.map { |key| "steps.#{key}" })
  end

  it "loses nothing, passes no gate unmarked, and does not end before what kills is done" do
    actions = PropCheck::Generators.tuple(PropCheck::Generators.choose(0..8), PropCheck::Generators.choose(0..999))
    PropCheck
      .forall(PropCheck::Generators.array(actions, min: 110, max: 110))
      .with_config(n_runs: 2, max_shrink_steps: 0)
      .check do |walk|
        model = on_file.ticked.to_set
        walk.each do |kind, number|
          act(kind, number, model)
          # what was ticked stays ticked, over every new plan
          expect(on_file.ticked.to_set).to eq(model)
        end
        expect_unfinished(model)
      end
  end
end
