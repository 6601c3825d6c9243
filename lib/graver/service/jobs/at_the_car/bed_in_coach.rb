# frozen_string_literal: true

module Graver
  module Service
    module Jobs
      # How warm the rotors of a job get in its bed-in, by energy balance, and whether that is too much or too little.
      class BedInCoach
        # rotor_kg; estimated: not from the brake data; stops: [Core::BedIn::Temperatures::Stop]; verdict: "cold",
        # "warm" or "hot"
        Axle = Core::Value.define(:axle, :rotor_kg, :estimated, :stops, :verdict)
        # warm, hot: degrees Celsius between which it should end; approach: option id; label; series:
        # Core::BedIn::Series or nil; axles: [Axle]; assumed: { name => number }
        Answer = Core::Value.define(:approach, :label, :series, :axles, :assumed, :warm, :hot)
        # The values the owner may change, and their bounds.
        RANGES = {
          mass_kg: 80..5000,
          front_share_percent: 20..95,
          ambient_celsius: -30..50,
          cooling_minutes: 1..30
        }.freeze

        def initialize(context)
          @context = context
          @rules = context.knowledge.bed_in
        end

        # given: any of RANGES, as text -> Answer. Raises InvalidEntry by field, NotFound.
        def call(job_id, given)
          plan = JobPlan.new(@context).find(job_id)
          assumed = assumed(plan.overview.vehicle.kind, given)
          option, entry = approach(plan)
          series = entry["stops"] && Core::BedIn::Series.new(**entry["stops"].transform_keys(&:to_sym))
          axles = series ? concerned(plan).map { |axle| axle(axle, series, plan.overview.vehicle.kind, assumed) } : []
          Answer.new(
            approach: option,
            label: entry["label"],
            series:,
            axles:,
            assumed:,
            warm: @rules["warm_celsius"],
            hot: @rules["hot_celsius"]
          )
        end

        private

        def approach(plan)
          option =
            plan.scope.approaches.fetch("bed_in") { @context.knowledge.approaches.dig("job", "bed_in", "default") }
          [option, @context.knowledge.approaches.dig("job", "bed_in", "options", option)]
        end

        # Axles with new faces to bed in.
        def concerned(plan)
          plan.scope.included.select { |axle| axle.works.intersect?(%w[pads rotors_new rotors_turn]) }
        end

        def assumed(kind, given)
          vehicle = @rules.fetch("vehicles").fetch(kind)
          usual = {
            mass_kg: vehicle["mass_kg"],
            front_share_percent: (vehicle["front_share"] * 100).round,
            ambient_celsius: @rules["ambient_celsius"],
            cooling_minutes: @rules["cooling_minutes"]
          }
          faults = []
          found = usual.to_h { |name, value| [name, number(name, given[name], value, faults)] }
          raise InvalidEntry, faults if faults.any?

          found
        end

        def number(name, text, usual, faults)
          return usual if text.to_s.strip.empty?

          value = Core::Quantity::EnteredNumber.parse(text).value.to_f
          return value if RANGES.fetch(name).cover?(value)

          range = RANGES.fetch(name)
          faults << InvalidEntry
            .of(name.to_s, "out_of_range", Message.of("faults.between", least: range.min, most: range.max))
            .faults
            .first
          usual
        rescue InvalidEntry => e
          faults.concat(e.under(name.to_s).faults)
          usual
        end

        def axle(axle, series, kind, assumed)
          known = rotor_kg(axle.file)
          rotor_kg = known || @rules.dig("rotor_kg", kind)
          stops = temperatures(axle, series, rotor_kg, assumed)
          Axle.new(axle: axle.name, rotor_kg:, estimated: known.nil?, stops:, verdict: verdict(stops.map(&:peak).max))
        end

        def temperatures(axle, series, rotor_kg, assumed)
          front = assumed[:front_share_percent] / 100.0
          share = (axle.name == "front" ? front : 1 - front) / axle.file.axle.sides.length
          Core::BedIn::Temperatures.call(
            series,
            vehicle_kg: assumed[:mass_kg],
            share:,
            rotor_kg:,
            ambient: assumed[:ambient_celsius],
            heat: @rules["heat_joule_per_kg_kelvin"],
            into_rotor: @rules["into_rotor"],
            cooling_seconds: assumed[:cooling_minutes] * 60
          )
        end

        def rotor_kg(file)
          diameter_mm, thickness_mm = file.length_mm("rotor.diameter"), file.length_mm("rotor.new_thickness")
          return unless diameter_mm && thickness_mm

          rules = @rules.fetch("rotor").transform_keys(&:to_sym)
          Core::BedIn::RotorMass.call(diameter_mm:, thickness_mm:, vented: file.choice("rotor.kind") != "solid", rules:)
        end

        def verdict(peak)
          return "cold" if peak < @rules["warm_celsius"]

          peak > @rules["hot_celsius"] ? "hot" : "warm"
        end
      end
    end
  end
end
