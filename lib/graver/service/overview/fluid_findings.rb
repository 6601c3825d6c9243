# frozen_string_literal: true

module Graver
  module Service
    module Overview
      # Findings about the whole vehicle: reservoir, fluid age, parking brake, and an odometer not logged for long.
      class FluidFindings
        def initialize(knowledge, today)
          @knowledge = knowledge
          @today = today
        end

        # inspections: oldest first; axles: [AxleOverview::Overview]; fluid: FluidAge::Fluid or nil -> [Found]
        def call(inspections, axles, fluid)
          vehicle = axles.first.file.vehicle
          least_km = @knowledge.findings.dig("standing_km", "value")
          standing = IdlePeriod.measures(inspections, @today, least_km, vehicle.distance_unit)
          levels = FluidLevels.reservoirs(vehicle).map { |axle| level(inspections, axles, axle) }
          whole = age(inspections, axles, fluid).merge(clicks(inspections, axles), standing)
          said = AxleFindings.new(@knowledge)
          @knowledge
            .finding_engine
            .call([*levels, whole].map { |measures| place(measures) })
            .map { |finding| said.found(finding, Base::Wording.new(vehicle.distance_unit)) }
        end

        private

        # [[inspection, Float], ...] of one figure, oldest first.
        def figures(inspections, item)
          inspections.filter_map do |inspection|
            condition = inspection.conditions.find { |each| each.item == item } or next
            [inspection, Core::Quantity::EnteredNumber.parse(condition.value).value.to_f]
          end
        end

        def place(measures)
          of = { scope: "vehicle", axle_id: nil, side: nil, pad: nil }
          Core::Judgement::Place.new(**of, measures: { "place" => "Vehicle", **measures })
        end

        # axle: name of the one whose reservoir it is, or nil: of all of them
        def level(inspections, axles, axle)
          levels = FluidLevels.new(inspections, axle)
          now = levels.newest or return {}
          served = axle ? axles.select { |each| each.file.axle.name == axle } : axles
          {
            "fluid_level" => now.after,
            "fluid_on" => now.inspection.date.iso8601,
            "fluid_name" => axle ? Message.of("findings.fluid_of", axle:) : Message.of("findings.fluid"),
            **(levels.pair ? balance(*levels.pair, inspections, served) : {})
          }
        end

        def balance(earlier, now, inspections, axles)
          return {} if renewed_between?(earlier.inspection, now.inspection, inspections)

          before, fallen_to = earlier.after, now.before
          explained, error, basis = explained(axles, now.inspection.odometer_km - earlier.inspection.odometer_km)
          return {} unless explained

          level_error, coverage =
            %w[level_standard_uncertainty coverage].map { |key| @knowledge.findings.dig(key, "value") }
          found =
            Core::Judgement::FluidBalance.of(
              before:,
              now: fallen_to,
              explained:,
              explained_error: error,
              level_error:,
              coverage:
            )
          {
            "fluid_before" => before,
            "fluid_before_on" => earlier.inspection.date.iso8601,
            "fluid_unexplained_sure" => found.sure ? 1 : 0,
            "fluid_basis" => basis,
            **%i[fall explained unexplained].to_h { |figure| ["fluid_#{figure}", found[figure]] }
          }
        end

        # The fall of the level that pad wear over a distance explains, in parts of MIN to MAX: [share, its error, how
        # it is known]. From reservoir and pistons if they are known, else from usual values.
        def explained(axles, distance_km)
          reservoir, worn = axles.first.file.volume_ml("fluid.reservoir_volume"), worn_ml(axles, distance_km)
          spread = @knowledge.findings.dig("wear_spread", "value")
          if reservoir && worn
            share = worn / reservoir
            return [
              share,
              share * spread,
              Message.of("findings.fluid_by_volume", worn: worn.round, reservoir: reservoir.round)
            ]
          end

          usual = @knowledge.findings.fetch("usual_reservoir")
          share = worn_share(axles, distance_km) or return
          share *= usual.fetch("sets")
          [share, share * Math.hypot(spread, usual.fetch("spread")), Message.of("findings.fluid_by_usual")]
        end

        # Share of a set that all axles have worn on average; nil where one of them has no forecast.
        def worn_share(axles, distance_km)
          shares =
            discs(axles).map do |axle|
              pads = axle.answer.pads or return nil
              rates = pads.rates.values.map { |rate| rate[1] }
              rates.sum / rates.length * distance_km / 1000 / [axle.file.new_pad_mm - pads.limit_mm, 1.0].max
            end
          shares.sum / shares.length if shares.any?
        end

        # The adjusters of a drum brake take up its wear: no fluid follows.
        def discs(axles) = axles.reject { |axle| axle.file.drum? }

        # If fluid was renewed or pads fitted in between, the levels cannot be compared. Work of a job on the day of the
        # later inspection came after it was read.
        def renewed_between?(before, now, inspections)
          between =
            inspections.select { |each| each.date > before.date && each.date <= now.date && !same_job?(each, now) }
          between.flat_map(&:readings).any? { |row| row.part == "fluid" || (row.event == "fit" && row.part == "pad") }
        end

        def same_job?(each, now) = !now.job_id.nil? && each.job_id == now.job_id

        # Volume the pistons of all axles moved over a distance; nil if one axle's pistons are unknown.
        def worn_ml(axles, distance_km)
          parts =
            discs(axles).map do |axle|
              file = axle.file
              diameter, pistons = file.length_mm("caliper.piston_diameter"), file.count("caliper.piston_count")
              return nil unless diameter && pistons && axle.answer.pads

              gains =
                file.axle.sides.map do |side|
                  file.pads.map { |pad| axle.answer.pads.rates["#{side}_#{pad}"][1] * distance_km / 1000 }
                end
              Core::Planning::DisplacedFluid.call(
                gains:,
                piston_diameter_mm: diameter,
                pistons:,
                opposed: file.opposed?
              )
            end
          parts.sum
        end

        def age(inspections, axles, fluid)
          moisture =
            figures(inspections.select { |each| fluid.nil? || each.date > fluid.renewed_on }, "fluid_moisture").last
          months, from = months(inspections, fluid)
          most = @knowledge.limits.dig("fluid_renewal_months", "value")
          {
            "fluid_moisture" => moisture && moisture[1],
            "fluid_on" => moisture && moisture[0].date.iso8601,
            "fluid_months" => months,
            "fluid_months_over" => months && (months - most),
            "fluid_renewal_months" => most,
            "fluid_age_from" => from,
            "fluid_boiling" => boiling(axles.first.file)
          }.compact
        end

        # From the last renewal noted, else from the age somebody knew.
        def months(inspections, fluid)
          return unless fluid

          [((@today - fluid.renewed_on).to_i / 30.44).floor, fluid.estimated ? estimated(inspections) : renewed(fluid)]
        end

        # Which circuit it is, where they are not of one day.
        def renewed(fluid)
          oldest = fluid.circuits.select { |circuit| circuit.renewed_on == fluid.renewed_on }
          return Message.of("findings.renewed_on", day: fluid.renewed_on) if oldest.length == fluid.circuits.length

          Message.of("findings.renewed_at", day: fluid.renewed_on, axles: oldest.map(&:axle).join(" and "))
        end

        def estimated(inspections)
          inspection, age = figures(inspections, "fluid_age").last
          Message.of("findings.months_old", months: age.round, day: inspection.date)
        end

        def boiling(file)
          points = @knowledge.findings.dig("boiling", file.choice("fluid.grade")) or return ""
          grade = @knowledge.brake_data.label("fluid.grade", file.choice("fluid.grade"))
          " #{Message.of("findings.boiling", grade:, dry: points["dry"], wet: points["wet"])}"
        end

        def clicks(inspections, axles)
          inspection, count = figures(inspections, "handbrake_clicks").last
          return {} unless inspection

          rear = axles.last.file
          most = rear.count("parking_brake.clicks_most")
          usual = @knowledge.measurement.dig("usual_limits", "handbrake_clicks", "most")
          {
            "clicks" => count.round,
            "clicks_on" => inspection.date.iso8601,
            "clicks_most" => most || usual,
            "clicks_from" => Message.of(most ? "findings.your_entry" : "findings.makers_range"),
            "clicks_over" => count.round - (most || usual)
          }
        end
      end
    end
  end
end
