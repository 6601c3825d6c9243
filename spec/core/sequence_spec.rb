# frozen_string_literal: true

require "prop_check"
require_relative "../support/random_brakes"

# Laws of the trade: common practice, no source, where nothing else is said.
RSpec.describe Graver::Core::Planning::Sequence do
  include RandomBrakes

  # The places of these steps in an order, which raises when one is missing.
  def places(found, wanted) = wanted.map { |key| found.index(key) || raise("#{key} is missing") }
  def expect_rising(found, wanted) = expect(places(found, wanted)).to eq(places(found, wanted).sort)

  it "orders every configuration so that each step finds what it requires" do
    PropCheck.forall(
      any(kinds),
      choices,
      choices,
      any([%w[front], %w[rear], %w[front rear]]),
      any(%w[furthest nearest diagonal])
    ) do |kind, front, rear, axles, order|
      setups = axles.map { |axle| random_setup(axle, kind, axle == "front" ? front : rear) }
      lifts = lifts(*setups, order:)
      placed = sequence.call(lifts)
      faults = proof(lifts, placed).call(placed).map { |fault| "#{fault.placed.key} #{fault.kind} #{fault.about}" }
      expect(faults).to be_empty
      expect(placed.map(&:key)).to eq(placed.map(&:key).uniq)
    end
  end

  it "pushes every piston back once and tightens all it undoes, whatever is fitted" do
    PropCheck.forall(any(kinds), choices) do |kind, chosen|
      setup = random_setup("rear", kind, chosen)
      placed = sequence.call(lifts(setup))
      pushed =
        placed.select { |each| %w[piston_home piston_home_on_car piston_wound pistons_apart].include?(each.step.id) }
      corners = lifts(setup).flat_map(&:corners).length
      expect(pushed.length).to eq(setup.configuration["work"].include?("push") ? corners : 0)
      expect(
        placed.flat_map { |each| each.step.fasteners }.uniq - placed.flat_map { |each| each.step.tighten }
      ).to be_empty
    end
  end

  it "ends with a firm pedal before the road, with a motor on the caliper" do
    found = keys(setup("rear", ["pads"], parking_brakes: "electric"))
    order = %w[
      rear.shake
      rear.service_mode
      rear.left.hook
      rear.left.pin_bolts_out
      rear.left.piston_home
      rear.left.pin_bolts_in
      rear.left.level_between
      rear.right.wheel_off
      rear.right.corner_check
      rear.pump
      rear.motor_closed
      rear.lower
      rear.star
      rear.hold
      level_after
      engine_pedal
      chocks_away
      first_stops
    ]
    expect_rising(found, order)
    expect(found.join(" ")).not_to match(/piston_wound|pad_pins_out|bleed|release_brake/)
  end

  # The engine started in gear on stands, or nuts cracked before the chocks, kill: common practice, no source.
  it "chocks before loosening, releasing or lifting, and starts the engine only on the wheels" do
    %w[front rear]
      .product([%w[pads], %w[inspect], %w[pads rotors_turn bleed]])
      .each do |axle, works|
        found = keys(setup(axle, works, retentions: "screws", parking_brakes: axle == "rear" ? "cable" : "none"))
        expect_rising(
          found,
          [
            "#{axle}.park",
            "#{axle}.chock",
            *("rear.release_brake" if axle == "rear"),
            "#{axle}.crack_nuts",
            "#{axle}.lift"
          ]
        )
        expect_rising(
          found,
          [
            "#{axle}.pump",
            "#{axle}.lower",
            "#{axle}.star",
            "#{axle}.hold",
            *("engine_pedal" unless works == ["inspect"]),
            "chocks_away",
            "first_stops"
          ]
        )
      end
    both = keys(setup("front", %w[pads bleed]), setup("rear", %w[bleed], parking_brakes: "cable"))
    expect_rising(
      both,
      %w[
        both.chock_both
        both.lift_both
        both.shake
        both.release_brake_both
        rear.left.wheel_off
        both.lower_one_end
        both.chock_lowered
        both.lower_other_end
        both.hold
        engine_pedal
      ]
    )
    bike = keys(setup("front", %w[pads bleed], sides: ["left"], vehicles: "motorcycle", calipers: "motorcycle_fixed"))
    expect(bike.join(" ")).not_to match(/engine|chock|hold|park/)
  end

  # common practice, no source: ready makes no sound, the battery lies beside the jacking points, and a motor makes the
  # pedal's feel
  it "switches a vehicle that brakes with its motor off before it is lifted, and proves its pedal ready, on its wheels" do
    electric = keys(setup("rear", %w[pads bleed], powers: "electric", parking_brakes: "electric"))
    expect_rising(
      electric,
      %w[
        rear.park
        rear.jacking_points
        rear.power_off
        rear.crack_nuts
        rear.lift
        rear.service_mode
        rear.bleed_by_manual
        rear.lower
        rear.hold
        ready_pedal
        chocks_away
        first_stops
      ]
    )
    expect(electric.join(" ")).not_to include("engine_pedal")
    plain = keys(setup("rear", %w[pads bleed], powers: "combustion")).join(" ")
    expect([plain.include?("engine_pedal"), plain[/power_off|jacking_points|ready_pedal|bleed_by_manual/]]).to eq(
      [true, nil]
    )
  end

  # Read off the words of the steps, beside the facts: whatever is fitted and done, common practice, no source.
  it "never runs the engine off its wheels or releases an unchocked vehicle, in any configuration" do
    PropCheck
      .forall(any(kinds), choices, choices, any([%w[front], %w[rear], %w[front rear]]))
      .with_config(n_runs: 40)
      .check do |kind, front, rear, axles|
        placed = sequence.call(lifts(*axles.map { |axle| random_setup(axle, kind, axle == "front" ? front : rear) }))
        at = ->(pattern) { placed.each_index.select { |index| placed[index].step.text.match?(pattern) } }
        engine = at[/\bengine on\b|start the engine|make the vehicle ready/i]
        ground = placed.each_index.select { |index| %w[lower hold bike_down].include?(placed[index].step.id) }
        expect(engine.min || placed.length).to be > (ground.max || -1)
        placed
          .group_by(&:lift)
          .except(nil)
          .each_value do |steps|
            ids = steps.map { |each| each.step.id }
            chocked = ids.index("chock") || ids.index("chock_both") or next
            expect(
              ids.each_index.select { |index| ids[index].match?(/crack|release_brake|\Alift|service_mode/) }.min ||
                ids.length
            ).to be > chocked
          end
        if engine.any?
          expect(placed.rindex { |each| each.step.id == "chocks_away" } || -1).to be <
            placed.index { |each| each.step.id == "first_stops" }
        end
      end
  end

  it "takes both rotors off before machining and fits none before both are back" do
    found = keys(setup("front", %w[pads rotors_turn], retentions: "screws"))
    expect_rising(
      found,
      %w[
        front.left.rotor_off
        front.right.wheel_off
        front.right.rotor_off
        front.rotors_away
        front.turned
        front.wash_turned
        front.left.rotor_on
        front.left.corner_check
        front.left.level_between
        front.right.rotor_on
        front.right.corner_check
      ]
    )
    expect(found.grep(/rotors_away|turned/).length).to eq(3)
  end

  it "never forces a wind-in piston or puts a motorcycle on a jack" do
    cable = keys(setup("rear", ["pads"], parking_brakes: "cable")).join(" ")
    bike =
      keys(setup("front", ["pads"], sides: ["left"], vehicles: "motorcycle", calipers: "motorcycle_fixed")).join(" ")
    expect(cable).to match(/piston_wound.*cable_set/).and(satisfy { |ids| !ids.match?(/piston_home|push_a_little/) })
    expect(bike).to match(/stand_bike.*bike_caliper_off/).and(satisfy { |ids| !ids.match?(/lift|wheel_off|star/) })
  end

  it "removes a captive rotor behind hub nut and hub, and checks the bearing before the bracket" do
    found = keys(setup("front", %w[pads rotors_new], vehicles: "off_roader", retentions: "captive")).grep(/left/)
    order =
      %w[
        bracket_off
        half_shaft_out
        hub_nut_off
        hub_off
        rotor_off
        degrease
        hub_on
        bearing_spins
        half_shaft_in
        bracket_on
        pads_in
      ].map { |id| "front.left.#{id}" }
    expect_rising(found, order)
    expect(found.join).not_to match(/hub_face|rotor_on\b/)
  end

  it "backs shoes off before the rotor and adjusts them after the pedal" do
    found = keys(setup("rear", %w[pads rotors_new shoes], parking_brakes: "drum_in_hat", retentions: "push_off"))
    order = %w[
      rear.left.adjuster_back
      rear.left.rotor_screws_out
      rear.left.pushed_off
      rear.left.rotor_off
      rear.left.shoes_look
      rear.left.shoes_new
      rear.left.rotor_on
      rear.left.rotor_screws_in
      rear.pump
      rear.shoes_set
    ]
    expect_rising(found, order)
  end

  it "works two discs of one wheel with the wheel out once" do
    found =
      keys(
        setup("front", %w[pads rotors_new], vehicles: "motorcycle", calipers: "motorcycle_fixed", retentions: "bolts")
      )
    expect(found.grep(/bike_wheel_out/)).to eq(["front.both.bike_wheel_out"])
    expect(found.index("front.pump")).to be < found.index("front.bike_axle")
  end

  it "lifts one axle after the other, but both together to bleed, circuit by circuit" do
    apart = lifts(setup("front", ["pads"]), setup("rear", ["pads"], parking_brakes: "cable"))
    expect(apart.map(&:name)).to eq(%w[front rear])
    # the level is looked at before the other axle's pistons go home too
    expect(sequence.call(apart).map(&:key).grep(/level_between/)).to eq(
      %w[front.left.level_between front.right.level_between rear.left.level_between]
    )
    found = keys(setup("front", %w[pads bleed]), setup("rear", ["bleed"], parking_brakes: "cable"))
    expect(found.grep(/\.bleed\z/)).to eq(%w[rear.right.bleed front.left.bleed rear.left.bleed front.right.bleed])
    expect(found).to include("both.lift_both").and(
      satisfy { |all| !all.include?("rear.left.pads_in") && all.grep(/lift\z/).none? }
    )
    bikes =
      lifts(
        setup("front", ["bleed"], vehicles: "motorcycle", calipers: "motorcycle_fixed"),
        setup("rear", ["bleed"], vehicles: "motorcycle", calipers: "motorcycle_floating")
      )
    expect(bikes.map(&:name)).to eq(%w[front rear])
  end

  it "bleeds whatever was opened before pumping" do
    found = keys(setup("front", ["hose"]))
    expect_rising(
      found,
      %w[
        front.left.hose_off_banjo
        front.left.hose_on_banjo
        front.left.pin_bolts_in
        front.left.banjo_tight
        front.fluid_fresh
        front.right.bleed
        front.pump
      ]
    )
    expect(keys(setup("front", ["pads"])).grep(/bleed|fluid_fresh/)).to be_empty
    # common practice, no source: a new hose has two ends; one that is screwed into the caliper goes in there first
    expect_rising(
      found,
      %w[front.left.hose_off_banjo front.left.body_end_off front.left.body_end_on front.left.hose_on_banjo]
    )
    expect_rising(found, %w[front.left.banjo_tight front.left.hose_clear front.left.corner_check])
    expect_rising(
      keys(setup("front", ["hose"], hose_fittings: "screwed")),
      %w[front.left.hose_on_screwed front.left.pin_bolts_in front.left.body_end_on_last front.left.hose_clear]
    )
    # a hose that ends in a rigid pipe is renewed with it: made on the bench, caliper first, body last
    piped = %w[pipe_off body_end_off_pipe short_pipe_made pipe_started pin_bolts_in pipe_on body_end_on_pipe hose_clear]
    expect_rising(keys(setup("front", ["hose"], hose_fittings: "pipe")), piped.map { |id| "front.left.#{id}" })
    expect(keys(setup("front", ["caliper"])).grep(/body_end|hose_clear|short_pipe/)).to be_empty
  end

  it "pushes no piston during an inspection" do
    found = keys(setup("front", ["inspect"])).join(" ")
    expect(found).to match(/gauge_pads.*read_rotor.*pump.*star/).and(
      satisfy { |all| !all.match?(/caliper|pin_bolts|piston|bed_in/) }
    )
  end
end
