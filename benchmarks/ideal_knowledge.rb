# frozen_string_literal: true

module Benchmarks
  # The knowledge of a forecaster that was told the world and the regime of a log: the reference for sharpness, and for
  # how far "look again" can reach. The same forecaster, with the world's own figures as its knowledge.
  class IdealKnowledge
    NEVER = 1e-9
    Knowledge = Graver::Knowledge

    # contents: { file name => parsed content } of knowledge/; regime: Regime
    def initialize(contents, world, regime)
      @contents = contents
      @world = world
      @regime = regime
      @rotors = regime.rotors?
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
            SimulatedAxle::PADS.to_h { |name| [name, (name.end_with?("inner") ? 0.5 : -0.5) * @world.inner_log] }
          end
        )
      {
        "rate_mm_per_1000km" => laws.rate_mm_per_1000km * @regime.pace,
        "rate_log_sd" => Math.hypot(laws.rate_log_sd, laws.set_log_sd),
        "set_log_sd" => laws.set_log_sd * (@regime.sets_before.max.positive? ? Math.sqrt(2) : 1),
        "deviation_log_sd" => laws.deviation_log_sd,
        "component_log_offset" => inner,
        "increment_mm" => [laws.increment_mm, 1e-4].max,
        "errors" => [{ "share" => 1.0, "times" => 1.0 }],
        "common_increment" => @world.common,
        "kept_deviation" => 0.0,
        "drifts" => drifts,
        "trends" => [{ "share" => 1.0, "per_life" => @regime.quickening }],
        "replaced" => replaced
      }
    end

    # Sets come off between 0.8 and 1.03 of their life.
    def replaced
      above = 0.1 * (mean(laws.new_mm) - (@rotors ? 0.0 : mean(laws.limit_mm)))
      { "above_mm" => above, "sd_mm" => @rotors ? 0.15 : 0.6, "wrong" => NEVER, "times" => 1.0 }
    end

    def drifts
      drifting = { "log_sd" => @world.drift_log_sd, "km" => @world.drift_km }
      steady = { "log_sd" => 1e-3, "km" => @world.drift_km }
      share = @regime.drifts
      [[share, drifting], [1 - share, steady]].reject { |often, _| often.zero? }
        .map { |often, drift| { "share" => often, **drift } }
    end

    # So often per life of what happens once in a life, or not at all, at any moment of 0.85 of it.
    def per_life(chance) = chance.zero? ? NEVER : chance * 1.1

    def changes
      low, high = @world.jump.map { |factor| Math.log(factor) }
      jump = per_life(@regime.jump) / 2
      {
        "axle_changes" =>
          [low, high].map { |log| { "per_life" => jump, "log_mean" => log * 0.75, "log_sd" => (log / 7).abs } },
        "seizures" => seizures,
        "spells" => [{ "per_life" => per_life(@regime.towing), "log_mean" => 0.4, "log_sd" => 0.3 }],
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
              SimulatedAxle::PADS.to_h { |name| [name, name.end_with?("inner") ? 1 / 3.0 : 1 / 6.0] }
            end
          )
      }
    end

    def seizures
      low, high = @world.seize.map { |factor| Math.log(factor) }
      often = per_life(@rotors ? 0.0 : @regime.seized)
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
      often = @regime.gross.zero? ? NEVER : @regime.gross / (@world.services.sum / 2.0)
      plates = @rotors ? 0.0 : SimulatedLog::PLATES
      off = Math.sqrt(@world.gross_mm.sum { |mm| mm * mm } / 2)
      single = [@regime.heavy, @regime.slip / 4].max
      {
        "wrong" => {
          "share" => [single, NEVER].max,
          "sd_mm" => @regime.heavy.positive? ? 0.45 : 2.0
        },
        "wrong_new" => {
          "share" => @regime.claimed ? 0.5 : NEVER,
          "sd_mm" => 1.5
        },
        "unlogged" => {
          "share" => @regime.unlogged ? 0.2 : NEVER,
          "when_due" => @regime.unlogged ? 0.3 : 0.0
        },
        "wrong_service" => {
          "share" => often * (1 - plates),
          "sd_mm" => off
        },
        "plate_service" => {
          "share" => often * plates,
          "sd_mm" => 0.1,
          "mm" => 5.0
        }
      }
    end
  end
end
