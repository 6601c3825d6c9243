# frozen_string_literal: true

module Graver
  module Storage
    # ticked: step keys done; planned_for: Date or nil; state: "draft", "ready", "in_progress", "finished" or
    # "cancelled"; scope: { "axles" => { "axle id" => [work, ...] }, "reasons" => { "axle id" => text } } or nil;
    # plan_edits: { event id => Hash }; torques: [{ "step", "axle", "fastener", "bolt", "verdict", ... }], the newest
    # of each bolt; new_parts: { "axle id.part" => { "value", "unit" } } as measured before they went on; approaches: {
    # approach => option } of this job alone; notes: [{ "step", "key", "text", "day", "by" }]; choices: { parts line =>
    # supply id }; resolved: [item]; quote: Hash or nil; ready_because: why it is ready in spite of gaps; otherwise: {
    # step key => { "because", "text", "day" } }, steps the owner did another way, and cleared: keys of those made good
    # since; closed: what it came to (Service::FinishJob), or nil; basis: what it is planned by since it began or was
    # planned again (Service::Jobs::Basis), with "event", or nil; since: [[kind, step key]] of what was ticked,
    # unticked or answered for since then; apart: [[fact, place, ...]] of what is not together; answers: { step key =>
    # id of the newest answer }; started_on: Date or nil; people: names of all who did something in it; ticked_by: {
    # step key => { "person", "at" } } where the person is known
    Job =
      Core::Value.define(
        :id,
        :axle_id,
        :procedure,
        :planned_for,
        :state,
        :ticked,
        :scope,
        :approaches,
        :new_parts,
        :torques,
        :plan_edits,
        :notes,
        :choices,
        :resolved,
        :quote,
        :ready_because,
        :deviations,
        :resolved_deviations,
        :closed,
        :basis,
        :since,
        :apart,
        :answers,
        :started_on,
        :people,
        :ticked_by
      ) do
        # { axle id => [work] }. An early job had no scope: pads on the axle it began with.
        def works = scope ? scope.fetch("axles").transform_keys(&:to_i) : { axle_id => ["pads"] }
        # -> ids of the axles it works on
        def axle_ids = works.keys
        # Whether it is finished or cancelled.
        def over? = %w[finished cancelled].include?(state)
        # Keys of the steps that are done, or were answered for.
        def done = ticked | deviations.keys
      end
  end
end
