# frozen_string_literal: true

module Benchmarks
  # A world the forecast is scored in: how brakes wear in it, how people read them, and what goes wrong how often. None
  # is the one the prior was written for.
  #
  # - increments: how wear adds up: :gamma, :inverse_gaussian, :wiener (then its running minimum) or :steady
  # - pad, rotor: Part with rate_mm_per_1000km (median), rate_log_sd, set_log_sd, deviation_log_sd, increment_mm
  #   (variance of a stretch's wear over its mean), new_mm and limit_mm (choices of each), box_mm (parts of one box)
  # - common: share of the unevenness of a stretch that all pads of the axle have in common
  # - inner_log: how much faster the inner pad wears (logarithm)
  # - drift_log_sd, drift_km: of a rate that drifts
  # - jump, seize: ranges of factors of a sudden change, and of a pad whose pin seizes
  # - mate: { factor range => share } what its mate does then
  # - errors_mm: { method => { pad:, rotor: } } the true standard deviations
  # - day_share: share of an error's variance that all readings of one day have in common
  # - services: how often a set is read
  # - skipped: share of pads not read at a service
  # - unknown_new: share of logs that do not give the set's new thickness
  # - gross_mm: range of a zero that is off
  # - driving: Driving with km_per_day (median), log_sd between vehicles, quarter_log_sd from quarter to quarter
  World =
    Struct.new(
      :name,
      :increments,
      :pad,
      :rotor,
      :common,
      :inner_log,
      :drift_log_sd,
      :drift_km,
      :jump,
      :seize,
      :mate,
      :errors_mm,
      :day_share,
      :services,
      :skipped,
      :unknown_new,
      :gross_mm,
      :driving,
      keyword_init: true
    )
  class World
    Driving = Struct.new(:km_per_day, :log_sd, :quarter_log_sd, keyword_init: true)
    Part =
      Struct.new(
        :rate_mm_per_1000km,
        :rate_log_sd,
        :set_log_sd,
        :deviation_log_sd,
        :increment_mm,
        :new_mm,
        :limit_mm,
        :box_mm,
        keyword_init: true
      )
    USUAL = {
      increments: :gamma,
      pad:
        Part.new(
          rate_mm_per_1000km: 0.15,
          rate_log_sd: 0.55,
          set_log_sd: 0.2,
          deviation_log_sd: 0.08,
          increment_mm: 0.03,
          new_mm: [10.0, 10.5, 11.0, 12.0],
          limit_mm: [2.0, 3.0],
          box_mm: 0.1
        ),
      rotor:
        Part.new(
          rate_mm_per_1000km: 0.018,
          rate_log_sd: 0.6,
          set_log_sd: 0.2,
          deviation_log_sd: 0.1,
          increment_mm: 0.006,
          new_mm: [1.0, 1.5, 2.0, 2.0, 3.0],
          limit_mm: [18.0, 20.0, 23.0, 26.0],
          box_mm: 0.03
        ),
      common: 0.5,
      inner_log: 0.08,
      drift_log_sd: 0.22,
      drift_km: 18_000.0,
      jump: [0.5, 2.0],
      seize: [1.5, 2.5],
      mate: {
        [0.0, 0.3] => 0.4,
        [0.4, 0.8] => 0.3,
        [1.0, 1.0] => 0.3
      },
      errors_mm: {
        "micrometer" => {
          pad: 0.03,
          rotor: 0.025
        },
        "caliper" => {
          pad: 0.15,
          rotor: 0.15
        },
        "rule" => {
          pad: 0.35
        },
        "visual" => {
          pad: 1.0
        },
        "percent" => {
          pad: 1.1
        },
        "gauge" => {
          pad: 0.0
        }
      },
      day_share: 0.4,
      services: [2, 6],
      skipped: 0.0,
      unknown_new: 0.2,
      gross_mm: [0.5, 1.5],
      driving: Driving.new(km_per_day: 33.0, log_sd: 0.4, quarter_log_sd: 0.1)
    }.freeze

    def self.of(name, **differs) = new(name:, **USUAL, **differs)
    def self.part(usual, **differs) = Part.new(**usual.to_h, **differs)

    # Each as the docs describe it.
    ALL = [
      of("gamma"),
      of(
        "restless",
        increments: :inverse_gaussian,
        pad:
          part(
            USUAL[:pad],
            rate_mm_per_1000km: 0.19,
            rate_log_sd: 0.75,
            set_log_sd: 0.3,
            deviation_log_sd: 0.14,
            increment_mm: 0.08
          ),
        rotor: part(USUAL[:rotor], rate_log_sd: 0.8, deviation_log_sd: 0.15, increment_mm: 0.012),
        common: 0.7,
        inner_log: 0.16,
        drift_log_sd: 0.35,
        drift_km: 10_000.0,
        jump: [0.4, 2.6],
        seize: [1.3, 3.2],
        services: [1, 8],
        skipped: 0.25,
        unknown_new: 0.4,
        driving: Driving.new(km_per_day: 40.0, log_sd: 0.6, quarter_log_sd: 0.2)
      ),
      of(
        "careless",
        increments: :wiener,
        pad: part(USUAL[:pad], rate_mm_per_1000km: 0.11, rate_log_sd: 0.5, box_mm: 0.2),
        errors_mm: {
          "micrometer" => {
            pad: 0.05,
            rotor: 0.04
          },
          "caliper" => {
            pad: 0.28,
            rotor: 0.2
          },
          "rule" => {
            pad: 0.6
          },
          "visual" => {
            pad: 1.4
          },
          "percent" => {
            pad: 1.6
          },
          "gauge" => {
            pad: 0.0
          }
        },
        day_share: 0.7,
        services: [2, 5],
        skipped: 0.35,
        unknown_new: 0.35,
        gross_mm: [0.8, 2.0]
      ),
      of(
        "calm",
        increments: :steady,
        pad: part(USUAL[:pad], rate_log_sd: 0.45, set_log_sd: 0.1, deviation_log_sd: 0.04, increment_mm: 0.0),
        rotor: part(USUAL[:rotor], rate_log_sd: 0.45, set_log_sd: 0.1, deviation_log_sd: 0.05, increment_mm: 0.0),
        common: 0.0,
        inner_log: 0.0,
        errors_mm: {
          "micrometer" => {
            pad: 0.02,
            rotor: 0.015
          },
          "caliper" => {
            pad: 0.08,
            rotor: 0.08
          },
          "rule" => {
            pad: 0.25
          },
          "visual" => {
            pad: 0.7
          },
          "percent" => {
            pad: 0.8
          },
          "gauge" => {
            pad: 0.0
          }
        },
        day_share: 0.2,
        unknown_new: 0.1
      )
    ].freeze

    # Added when most of the prior had been chosen.
    ELSEWHERE = [
      of(
        "hills",
        pad: part(USUAL[:pad], rate_mm_per_1000km: 0.24, rate_log_sd: 0.5, deviation_log_sd: 0.12, increment_mm: 0.05),
        common: 0.8,
        drift_log_sd: 0.3,
        drift_km: 25_000.0,
        jump: [0.6, 1.7],
        seize: [1.8, 6.0],
        services: [1, 4],
        skipped: 0.1
      ),
      of(
        "motorway",
        increments: :inverse_gaussian,
        pad: part(USUAL[:pad], rate_mm_per_1000km: 0.08, rate_log_sd: 0.4, set_log_sd: 0.15, limit_mm: [3.0, 4.0]),
        inner_log: 0.02,
        drift_log_sd: 0.15,
        drift_km: 30_000.0,
        seize: [2.0, 8.0],
        mate: {
          [0.2, 0.6] => 0.5,
          [1.0, 1.0] => 0.5
        },
        day_share: 0.3,
        services: [2, 8],
        driving: Driving.new(km_per_day: 60.0, log_sd: 0.3, quarter_log_sd: 0.08)
      ),
      of(
        "town",
        increments: :wiener,
        pad: part(USUAL[:pad], rate_mm_per_1000km: 0.17, rate_log_sd: 0.7, set_log_sd: 0.28, box_mm: 0.15),
        errors_mm: {
          **USUAL[:errors_mm],
          "caliper" => {
            pad: 0.22,
            rotor: 0.12
          },
          "visual" => {
            pad: 1.2
          }
        },
        day_share: 0.55,
        jump: [0.45, 2.2],
        seize: [1.4, 4.0],
        skipped: 0.3,
        services: [1, 5],
        unknown_new: 0.5,
        driving: Driving.new(km_per_day: 18.0, log_sd: 0.5, quarter_log_sd: 0.25)
      )
    ].freeze
  end
end
