# frozen_string_literal: true

require "zlib"

module Graver
  module Devices
    module Simulated
      # A counter that has everything, at made-up prices: the same question is answered the same way. One offer in three
      # is the other variant of the same part, as it happens at real counters.
      class PartsCounter < Devices::PartsCounter
        # Price of one piece, from to, in whatever money the household counts.
        PRICES = {
          "pads" => 25..70,
          "rotor" => 30..90,
          "clip_kit" => 6..18,
          "pin_kit" => 8..20,
          "pin_boots" => 5..12,
          "pad_pins" => 5..15,
          "wear_sensor" => 8..25,
          "shoes" => 25..60,
          "caliper" => 90..220,
          "hose" => 15..40,
          "fluid" => 8..14,
          "cleaner" => 4..7,
          "torque_wrench" => 40..120,
          "scan_tool" => 30..90,
          "wind_back" => 25..60
        }.freeze
        OTHER = 4..30
        KINDS = [["plain", nil, 1.0, 1], ["long-life", "harder", 1.35, 3], ["other variant", nil, 0.9, 2]].freeze
        # How far the other variant is off, mm
        OFF_MM = { thickness_mm: 2.0, diameter_mm: 14.0 }.freeze

        def initialize(seed:)
          super()
          @seed = seed
        end

        def simulated? = true

        def offers(item:, wanted:)
          random = Random.new(@seed ^ Zlib.crc32("#{item}|#{wanted.values.join("|")}"))
          base = random.rand(PRICES.fetch(item, OTHER))
          kinds(item, wanted)
            .map { |kind| offer(item, wanted, kind, base, random) }
            .sort_by { |offer| offer.price.to_f }
        end

        private

        # Only pads come in compounds, and only what has dimensions in variants.
        def kinds(item, wanted)
          KINDS.select do |name, compound, *|
            (compound.nil? || item == "pads") && (name != "other variant" || wanted.values.any?)
          end
        end

        def offer(item, wanted, (name, compound, dearer, days), base, random)
          off = name == "other variant" ? OFF_MM : {}
          PartsCounter::Offer.new(
            name: "#{item.tr("_", " ").capitalize}, #{name}",
            number: format("SIM-%05d", random.rand(100_000)),
            supplier: "Simulated counter",
            price: format("%.2f", base * dearer),
            lead_days: days + random.rand(3),
            compound:,
            **%i[thickness_mm diameter_mm].to_h { |key| [key, wanted[key] && (wanted[key] + off.fetch(key, 0))] }
          )
        end
      end
    end
  end
end
