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
    return random_drums(axle, caliper, choices) if caliper.start_with?("drum")

    parking, retention, springs, hose, sensors, works, approaches, bracket, holder, driven, trims, own, powers = choices
    bike = vehicle == "motorcycle"
    parking = "none" if bike || axle == "front" || (caliper == "fixed_opposed" && %w[cable electric].include?(parking))
    works = offered(works, "disc") - (parking == "drum_in_hat" ? [] : ["shoes"])
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

  # The same with drums.
  def random_drums(axle, caliper, choices)
    works, approaches, driven, trims, powers, drum = choices.values_at(5, 6, 9, 10, 12, 13)
    retention, bearing, adjusters, parking = drum
    fitted = {
      parking_brakes: axle == "front" ? "none" : parking,
      drum_retentions: retention,
      drum_bearings: retention == "hub" ? bearing : nil,
      adjusters:
    }
    place = { **PlanBuilders::PLAIN, **PlanBuilders::DRUM, "axles" => axle, "calipers" => caliper, "sensors" => false }
    place.merge!(fitted.transform_keys(&:to_s))
    if PlanBuilders::TRAILER_BRAKES.include?(caliper)
      place.merge!(PlanBuilders::TRAILER)
      fitted[:drum_bearings] = bearing
    end
    works = works.uniq & rules.offered(place).map(&:id)
    setup(
      axle,
      works.empty? ? ["brake_shoes"] : works,
      calipers: caliper,
      driven:,
      trims:,
      powers:,
      approaches:,
      **fitted
    )
  end

  def offered(works, brakes)
    works.uniq.select { |id| (KNOWLEDGE.work(id).when || {}).fetch("brakes", [brakes]).include?(brakes) }
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
      any(%w[combustion hybrid electric]),
      PropCheck::Generators.tuple(
        any(%w[nothing screws push_off stud_clips hub]),
        any(%w[staked adjustable]),
        any([nil, "star", "star_reverse", "manual", "ratchet"]),
        any(%w[shoes none])
      )
    )
  end
end
