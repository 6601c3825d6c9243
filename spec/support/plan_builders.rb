# frozen_string_literal: true

# Jobs as the planner sees them, without records: a configuration and its works.
module PlanBuilders
  P = Graver::Core::Planning
  PLAIN = {
    "vehicles" => "car",
    "calipers" => "floating_slide_pins",
    "brakes" => "disc",
    "hydraulics" => "fluid",
    "parking_brakes" => "none",
    "retentions" => "nothing",
    "springs" => "none",
    "hose_fittings" => "banjo",
    "brackets" => "separate",
    "hose_holders" => "clip",
    "driven" => "front",
    "trims" => "none"
  }.freeze

  # What a drum brake has instead.
  DRUM = {
    "brakes" => "drum",
    "parking_brakes" => "shoes",
    "retentions" => nil,
    "springs" => nil,
    "hose_fittings" => "cylinder_pipe",
    "hose_holders" => nil,
    "linings" => "bonded",
    "drum_retentions" => "screws",
    "adjusters" => "star"
  }.freeze

  TRAILER_BRAKES = %w[drum_overrun drum_electric].freeze
  # What a trailer has instead of both.
  TRAILER = {
    "vehicles" => "trailer",
    "hydraulics" => "none",
    "parking_brakes" => "none",
    "hose_fittings" => "cylinder_pipe",
    "driven" => nil,
    "drum_retentions" => "hub",
    "adjusters" => "manual"
  }.freeze

  def rules = KNOWLEDGE.scope_rules
  def sequence = KNOWLEDGE.sequence

  def setup(axle, works, sides: %w[left right], sensors: [], **given)
    configuration = { **PLAIN, **given.transform_keys(&:to_s), "axles" => axle, "work" => rules.expanded(works) }
    configuration["brackets"] = nil unless configuration["calipers"].start_with?("floating")
    configuration.merge!(DRUM, given.transform_keys(&:to_s)) if configuration["calipers"].start_with?("drum")
    configuration.merge!(TRAILER) if TRAILER_BRAKES.include?(configuration["calipers"])
    chosen = configuration["approaches"].to_a.to_h { |name| name.split(".") }
    configuration = P::Approaches.applied(KNOWLEDGE.approaches.fetch("job"), chosen, configuration)
    P::Lifts::Setup.new(axle:, sides:, configuration:, sensors:)
  end

  def lifts(*setups, order: "diagonal", near: "left")
    P::Lifts.new(
      joined: KNOWLEDGE.scope["joined"],
      bleed_order: ->(corners) { P::BleedOrder.call(corners, order:, near:) }
    ).call(setups)
  end

  def keys(*setups) = sequence.call(lifts(*setups)).map(&:key)
  def proof(lifts, base) = P::PlanVerifier.new(KNOWLEDGE.procedure, lifts, base)
end
