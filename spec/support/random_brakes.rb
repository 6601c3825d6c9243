# frozen_string_literal: true

require "prop_check"
require_relative "plan_builders"

# Any brake that can be bought, with works and approaches at random.
module RandomBrakes
  def self.included(base) = base.include(PlanBuilders)

  def any(values) = PropCheck::Generators.one_of(*values.map { |value| PropCheck::Generators.constant(value) })
  def some(values) = PropCheck::Generators.array(any(values), min: 1, max: 5, empty: false)

  # One axle of anything that can be bought, with works at random.
  def random_setup(axle, kind, choices)
    caliper, vehicle = kind
    parking, retention, springs, hose, sensors, works, approaches, bracket, holder, driven, trims, own, powers = choices
    bike = vehicle == "motorcycle"
    parking = "none" if bike || axle == "front" || (caliper == "fixed_opposed" && %w[cable electric].include?(parking))
    works = works.uniq - (parking == "drum_in_hat" ? [] : ["shoes"])
    fitted = {
      vehicles: vehicle,
      calipers: caliper,
      parking_brakes: parking,
      retentions: bike ? "bolts" : retention,
      springs:,
      hose_fittings: hose,
      brackets: bracket,
      hose_holders: bike ? "clip" : holder,
      driven:,
      trims: bike ? "none" : trims,
      powers: bike ? "combustion" : powers,
      approaches:,
      **own_fastener(own)
    }
    setup(axle, works.empty? ? ["pads"] : works, sensors:, **fitted)
  end

  # A fastener of the owner's own, where it sits.
  def own_fastener(place) = place ? { "own_1" => "named", "own_1_at" => place }.transform_keys(&:to_sym) : {}

  def kinds = KNOWLEDGE.calipers.flat_map { |caliper| caliper.vehicles.map { |vehicle| [caliper.id, vehicle] } }
  def approaches
    PropCheck::Generators.tuple(
      *KNOWLEDGE
        .approaches
        .fetch("job")
        .map { |kind, approach| any(approach["options"].keys.map { |id| "#{kind}.#{id}" }) }
    )
  end
  def choices
    PropCheck::Generators.tuple(
      any(%w[none cable electric drum_in_hat]),
      any(%w[nothing screws push_off ring hub_ring stud_clips bolts captive]),
      any(%w[none spread outer]),
      any(%w[banjo screwed pipe]),
      any([[], ["left"], %w[left right]]),
      some(rules.ids - rules.hidden),
      approaches,
      any(%w[separate stays none]),
      any(%w[clip bolt]),
      any(%w[front rear all]),
      any(%w[none cover caps locking]),
      any([nil, "wheel", "caliper", "bracket", "rotor"]),
      any(%w[combustion hybrid electric])
    )
  end
end
