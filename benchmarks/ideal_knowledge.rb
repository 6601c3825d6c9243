# frozen_string_literal: true

module Benchmarks
  # The knowledge of a forecaster that was told the world and the regime of a log: the reference for sharpness, and for
  # how far "look again" can reach. The same forecaster, with the world's own figures as its knowledge.
  class IdealKnowledge
    NEVER = 1e-9
    Knowledge = Graver::Knowledge

    # contents: { file name => parsed content } of knowledge/
    def initialize(contents, world, regime)
      @contents = contents
      @world = world
      @regime = regime
      @rotors = %i[rotors calipered].include?(regime)
    end

    # -> Graver::LogFormat::Forecaster
    def forecaster
      Graver::LogFormat::Forecaster.new(normalise: library.normalise, outlook: library.outlook)
    end

    # -> Graver::Knowledge::Library
    def library
      @library ||=
        Knowledge::Library.new(
          @contents.merge("measurement.yml" => measurement, "wear/priors.yml" => priors),
          lines: ->(*) { 1 }
        )
    end

    private

    def laws = @rotors ? @world.rotor : @world.pad

    def measurement
      given = @contents.fetch("measurement.yml")
      methods =
        given
          .fetch("methods")
          .to_h do |id, method|
            errors = @world.errors_mm[id]
            next id, method unless errors && id != "gauge"

            [id, { **method, **errors.transform_keys(&:to_s), "shared" => @world.day_share }]
          end
      share = 100 * @world.errors_mm.dig("percent", :pad) / mean(@world.pad.new_mm)
      {
        **given,
        "methods" => methods,
        "percent" => given["percent"].merge("standard_uncertainty" => share, "shared" => @world.day_share),
        "new_parts" => given["new_parts"].to_h { |part, values| [part, new_part(part, values)] }
      }
    end

    def new_part(part, values)
      of = @world.public_send(part)
      typical =
        if part == "pad"
          { "typical_mm" => mean(of.new_mm), "typical_standard_uncertainty_mm" => spread(of.new_mm) }
        else
          { "steps_mm" => of.new_mm.uniq.sort }
        end
      box = [of.box_mm, 0.01].max
      values.merge(typical, "stated_standard_uncertainty_mm" => box, "own_standard_uncertainty_mm" => box)
    end

    def mean(values) = values.sum.fdiv(values.length)
    def spread(values) = Math.sqrt(values.sum { |value| (value - mean(values))**2 } / values.length)

    def priors
      given = @contents.fetch("wear/priors.yml")
      part = @rotors ? "rotor" : "pad"
      { **given, part => given.fetch(part).merge(wear, changes, errors), "driving" => driving(given.fetch("driving")) }
    end

    # It is told the spread of a year's pace around the mean seen.
    def driving(given)
      law = @world.driving
      lasting = law.quarter_log_sd / Math.sqrt(1 - (DrivenDays::DRAWN_BACK**2))
      given.merge("km_per_day" => law.km_per_day, "log_sd" => law.log_sd, "floor_log_sd" => lasting / Math.sqrt(2))
    end

    def wear
      inner =
        (
          if @rotors
            {}
          else
            SimulatedLog::PADS.to_h { |name| [name, (name.end_with?("inner") ? 0.5 : -0.5) * @world.inner_log] }
          end
        )
      drifting = SimulatedLog::DRIFTING.include?(@regime)
      {
        "rate_mm_per_1000km" => laws.rate_mm_per_1000km,
        "rate_log_sd" => Math.hypot(laws.rate_log_sd, laws.set_log_sd),
        "set_log_sd" => laws.set_log_sd * (@regime == :earlier ? Math.sqrt(2) : 1),
        "deviation_log_sd" => laws.deviation_log_sd,
        "component_log_offset" => inner,
        "increment_mm" => [laws.increment_mm, 1e-4].max,
        "errors" => [{ "share" => 1.0, "times" => 1.0 }],
        "common_increment" => @world.common,
        "kept_deviation" => 0.0,
        "drifts" => [{ "share" => 1.0, "log_sd" => drifting ? @world.drift_log_sd : 1e-3, "km" => @world.drift_km }]
      }
    end

    # One change per life, at any moment of 0.85 of it.
    def changes
      low, high = @world.jump.map { |factor| Math.log(factor) }
      jump = @regime == :jump ? 0.55 : NEVER
      {
        "axle_changes" =>
          [low, high].map { |log| { "per_life" => jump, "log_mean" => log * 0.75, "log_sd" => (log / 7).abs } },
        "seizures" => seizures,
        "quiet" => {
          "share" => NEVER,
          "times" => 1.0,
          "pin_times" => 1.0
        },
        "odd_from_new" => {
          "share" => NEVER,
          "log_mean" => 0.8,
          "log_sd" => 0.2
        },
        "seizure_weights" =>
          (
            if @rotors
              { "left" => 0.5, "right" => 0.5 }
            else
              SimulatedLog::PADS.to_h { |name| [name, name.end_with?("inner") ? 1 / 3.0 : 1 / 6.0] }
            end
          )
      }
    end

    def seizures
      low, high = @world.seize.map { |factor| Math.log(factor) }
      often = @regime == :seized ? 1.1 : NEVER
      @world.mate.map do |(from, to), share|
        mate = Math.log([(from + to) / 2.0, 0.08].max)
        {
          "per_life" => often * share,
          "log_mean" => (low + high) / 2,
          "log_sd" => (high - low) / 3.4,
          "mate_log_mean" => mate,
          "mate_log_sd" => to > from ? 0.25 : 0.02
        }
      end
    end

    def errors
      gross = @regime == :gross
      often = gross ? 1.0 / (@world.services.sum / 2.0) : NEVER
      off = Math.sqrt(@world.gross_mm.sum { |mm| mm * mm } / 2)
      {
        "wrong" => {
          "share" => NEVER,
          "sd_mm" => 1.5
        },
        "wrong_service" => {
          "share" => gross ? often * 0.67 : NEVER,
          "sd_mm" => off
        },
        "plate_service" => {
          "share" => gross && !@rotors ? often * 0.33 : 0.0,
          "sd_mm" => 0.1,
          "mm" => 5.0
        }
      }
    end
  end
end
