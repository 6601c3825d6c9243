# frozen_string_literal: true

module Graver
  module Service
    module Overview
      # What the reservoir, the fluid's age, the parking brake and the odometer's silence say of the whole vehicle.
      class FluidFindings
        def initialize(knowledge, today)
          @knowledge = knowledge
          @today = today
        end

        # look_overs: oldest first; axles: [AxleOverview::Overview]; fluid: FluidAge::Fluid or nil -> [Found]
        def call(look_overs, axles, fluid)
          vehicle = axles.first.file.vehicle
          least_km = @knowledge.findings.dig("standing_km", "value")
          standing = Standing.measures(look_overs, @today, least_km, vehicle.distance_unit)
          levels = FluidLevels.reservoirs(vehicle).map { |axle| level(look_overs, axles, axle) }
          whole = age(look_overs, axles, fluid).merge(clicks(look_overs, axles), standing)
          said = AxleFindings.new(@knowledge)
          @knowledge
            .finding_engine
            .call([*levels, whole].map { |measures| place(measures) })
            .map { |finding| said.found(finding, vehicle.distance_unit) }
        end

        private

        # [[look-over, Float], ...] of one figure, oldest first.
        def figures(look_overs, item)
          look_overs.filter_map do |look_over|
            condition = look_over.conditions.find { |each| each.item == item } or next
            [look_over, Core::Quantity::EnteredNumber.parse(condition.value).value.to_f]
          end
        end

        def place(measures)
          of = { scope: "vehicle", axle_id: nil, side: nil, pad: nil }
          Core::Judgement::Place.new(**of, measures: { "place" => "Vehicle", **measures })
        end

        # axle: name of the one whose reservoir it is, or nil: of all of them
        def level(look_overs, axles, axle)
          levels = FluidLevels.new(look_overs, axle)
          now = levels.newest or return {}
          served = axle ? axles.select { |each| each.file.axle.name == axle } : axles
          {
            "fluid_level" => now.after,
            "fluid_on" => now.look_over.date.iso8601,
            "fluid_name" => axle ? Texts.say("findings.fluid_of", axle:) : Texts.say("findings.fluid"),
            **(levels.pair ? balance(*levels.pair, look_overs, served) : {})
          }
        end

        def balance(earlier, now, look_overs, axles)
          return {} if renewed_between?(earlier.look_over, now.look_over, look_overs)

          before, fallen_to = earlier.after, now.before
          explained, error, basis = explained(axles, now.look_over.odometer_km - earlier.look_over.odometer_km)
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
            "fluid_before_on" => earlier.look_over.date.iso8601,
            "fluid_unexplained_sure" => found.sure ? 1 : 0,
            "fluid_basis" => basis,
            **%i[fall explained unexplained].to_h { |figure| ["fluid_#{figure}", found[figure]] }
          }
        end

        # What the wear of the pads takes over a distance, in parts of MIN to MAX: [share, its error, how it is known].
        # By reservoir and pistons where they are known, else by what is usual.
        def explained(axles, distance_km)
          reservoir, worn = axles.first.file.volume_ml("fluid.reservoir_volume"), worn_ml(axles, distance_km)
          spread = @knowledge.findings.dig("wear_spread", "value")
          if reservoir && worn
            share = worn / reservoir
            return [
              share,
              share * spread,
              Texts.say("findings.fluid_by_volume", worn: worn.round, reservoir: reservoir.round)
            ]
          end

          usual = @knowledge.findings.fetch("usual_reservoir")
          share = worn_share(axles, distance_km) or return
          share *= usual.fetch("sets")
          [share, share * Math.hypot(spread, usual.fetch("spread")), Texts.say("findings.fluid_by_usual")]
        end

        # Share of a set that all axles have worn on average; nil where one of them has no forecast.
        def worn_share(axles, distance_km)
          shares =
            axles.map do |axle|
              pads = axle.answer.pads or return nil
              rates = pads.rates.values.map { |rate| rate[1] }
              rates.sum / rates.length * distance_km / 1000 / [axle.file.new_pad_mm - pads.limit_mm, 1.0].max
            end
          shares.sum / shares.length
        end

        # Fluid renewed or pads fitted in between: the levels cannot be compared. What a job did on the day of the later
        # look came after it was read.
        def renewed_between?(before, now, look_overs)
          between =
            look_overs.select { |each| each.date > before.date && each.date <= now.date && !same_job?(each, now) }
          between.flat_map(&:readings).any? { |row| row.part == "fluid" || (row.event == "fit" && row.part == "pad") }
        end

        def same_job?(each, now) = !now.job_id.nil? && each.job_id == now.job_id

        # What the pistons of all axles took up over a distance; nil where one axle's pistons are not known.
        def worn_ml(axles, distance_km)
          parts =
            axles.map do |axle|
              file = axle.file
              diameter, pistons = file.length_mm("caliper.piston_diameter"), file.count("caliper.piston_count")
              return nil unless diameter && pistons && axle.answer.pads

              gains =
                file.axle.sides.map do |side|
                  %w[inner outer].map { |pad| axle.answer.pads.rates["#{side}_#{pad}"][1] * distance_km / 1000 }
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

        def age(look_overs, axles, fluid)
          moisture =
            figures(look_overs.select { |each| fluid.nil? || each.date > fluid.renewed_on }, "fluid_moisture").last
          months, from = months(look_overs, fluid)
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
        def months(look_overs, fluid)
          return unless fluid

          [((@today - fluid.renewed_on).to_i / 30.44).floor, fluid.estimated ? estimated(look_overs) : renewed(fluid)]
        end

        # Which circuit it is, where they are not of one day.
        def renewed(fluid)
          oldest = fluid.circuits.select { |circuit| circuit.renewed_on == fluid.renewed_on }
          return Texts.say("findings.renewed_on", day: fluid.renewed_on) if oldest.length == fluid.circuits.length

          Texts.say("findings.renewed_at", day: fluid.renewed_on, axles: oldest.map(&:axle).join(" and "))
        end

        def estimated(look_overs)
          look_over, age = figures(look_overs, "fluid_age").last
          Texts.say("findings.months_old", months: age.round, day: look_over.date)
        end

        def boiling(file)
          points = @knowledge.findings.dig("boiling", file.choice("fluid.grade")) or return ""
          Texts.say(
            "findings.boiling",
            grade: @knowledge.brake_data.label("fluid.grade", file.choice("fluid.grade")),
            dry: points["dry"],
            wet: points["wet"]
          )
        end

        def clicks(look_overs, axles)
          look_over, count = figures(look_overs, "handbrake_clicks").last
          return {} unless look_over

          rear = axles.last.file
          most = rear.count("parking_brake.clicks_most")
          usual = @knowledge.measurement.dig("usual_limits", "handbrake_clicks", "most")
          {
            "clicks" => count.round,
            "clicks_on" => look_over.date.iso8601,
            "clicks_most" => most || usual,
            "clicks_from" => Texts.say(most ? "findings.your_entry" : "findings.makers_range"),
            "clicks_over" => count.round - (most || usual)
          }
        end
      end
    end
  end
end
