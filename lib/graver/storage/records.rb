# frozen_string_literal: true

require_relative "../core/value"

module Graver
  module Storage
    # kind: "car", "van", "off_roader" or "motorcycle"; distance_unit: "km" or "mi"; axles: [Axle].
    # sample: made up, so that made-up values count on it.
    Vehicle = Core::Value.define(:id, :name, :kind, :distance_unit, :archived, :sample, :axles)

    # sides: ["left", "right"], or the one that carries a disc.
    Axle = Core::Value.define(:id, :vehicle_id, :name, :sides)

    # The newest entry of one key, as entered.
    BrakeDatum = Core::Value.define(:key, :value, :unit, :source, :recorded_at)

    # void: it does not count any more; job_id: the job it was written by, or nil; corrections: [Correction] of the look-over itself, oldest first.
    LookOver = Core::Value.define(:id, :vehicle_id, :date, :odometer_value, :odometer_unit, :odometer_km, :note, :void, :import_id, :job_id,
                                  :readings, :conditions, :corrections)

    # One row as it counts now; several places of one position are several rows. entered: the value first entered;
    # simulated: a simulated device sent it; doubts: [Doubt]; corrections: [Correction], oldest first.
    ReadingRow = Core::Value.define(:id, :axle_id, :event, :part, :side, :pad, :place, :method, :value, :upper, :unit, :overall, :doubt,
                                    :instrument_id, :simulated, :void, :entered, :doubts, :corrections)

    # A question that was put, the value it was about, and the answer.
    Doubt = Core::Value.define(:code, :question, :value, :unit, :answer)

    # One mark (or figure) of what was looked at, as it counts now. axle_id, side, face are nil where they do not apply.
    Condition = Core::Value.define(:id, :axle_id, :side, :face, :item, :mark, :value, :simulated, :void, :entered, :corrections)

    # change: { field => value now } or { "void" => true }; reading_id and condition_id nil: of the look-over itself.
    Correction = Core::Value.define(:id, :look_over_id, :reading_id, :condition_id, :change, :reason, :recorded_at)

    # Numbers as entered, in `unit`; checks: [ZeroCheckRow], oldest first.
    Instrument = Core::Value.define(:id, :name, :method, :unit, :least, :most, :resolution, :uncertainty, :retired, :checks)
    ZeroCheckRow = Core::Value.define(:id, :date, :reference, :read, :unit)

    # Numbers as entered, in `unit`; calibrated_on: Date or nil.
    TorqueWrench = Core::Value.define(:id, :name, :unit, :least, :most, :graduation, :length_mm, :calibrated_on, :retired)

    # content: the file's text; mapping, result: Hashes or nil; state: "uploaded", "done" or "undone".
    Import = Core::Value.define(:id, :vehicle_id, :name, :digest, :mapping, :result, :state, :recorded_at)

    Draft = Core::Value.define(:content, :revision, :recorded_at)
    BinnedDraft = Core::Value.define(:id, :vehicle_id, :content, :recorded_at)

    # kind: "trip", "driving" or "inspection"; distance as entered (of a trip, or a year's driving); wear_factor: text or nil.
    AheadRow = Core::Value.define(:id, :vehicle_id, :kind, :name, :from_on, :to_on, :distance, :unit, :wear_factor)

    # quantiles: { 0.1 => km from as_of_km, ... }
    ForecastGiven = Core::Value.define(:id, :axle_id, :look_over_id, :given_on, :as_of_km, :limit_mm, :quantiles, :look_again_km, :afterwards)

    # Numbers as entered; kind: "part", "consumable" or "tool"; item: the part, consumable or tool it is one of; axle_id nil: for any.
    Supply = Core::Value.define(:id, :kind, :item, :axle_id, :name, :number, :supplier, :price, :lead_days, :on_shelf, :compound, :thickness, :diameter, :unit, :retired)

    # ticked: step keys done; planned_for: Date or nil; state: "draft", "ready", "started", "finished" or "dropped"; scope:
    # { "axles" => { "axle id" => [work, ...] }, "reasons" => { "axle id" => text } } or nil; adjustments: { event id => Hash };
    # notes: [{ "step", "key", "text", "day" }]; choices: { parts line => supply id }; settled: [item]; quote: Hash or nil;
    # ready_because: why it is ready in spite of gaps; otherwise: { step key => { "because", "text", "day" } }, steps the owner did
    # another way, and cleared: keys of those made good since; closed: what it came to (Service::FinishJob), or nil
    Job = Core::Value.define(:id, :axle_id, :procedure, :planned_for, :state, :ticked, :scope, :adjustments, :notes, :choices, :settled, :quote, :ready_because,
                             :otherwise, :cleared, :closed) do
      # { axle id => [work] }. An early job had no scope: pads on the axle it began with.
      def works = scope ? scope.fetch("axles").transform_keys(&:to_i) : { axle_id => ["pads"] }
      def axle_ids = works.keys
      def over? = %w[finished dropped].include?(state)
      # Keys of the steps that are done, or were answered for.
      def done = ticked | otherwise.keys
    end
  end
end
