# frozen_string_literal: true

require "json"
require "date"

module Graver
  module LogFormat
    # The specification beside a log (docs/formats.md): today's odometer, and what is known about each axle.
    class Specification
      BRAKES = Core::Measurement::Positions::PADS.keys.freeze
      LENGTHS = { "pad" => %w[new_mm limit_mm backing_mm], "rotor" => %w[new_mm discard_mm] }.freeze
      LARGEST_MM = 100

      attr_reader :as_of_date, :as_of_km

      # JSON text -> Specification. Raises InvalidEntry naming every fault by its path.
      def self.parse(text)
        text = text.dup.force_encoding(Encoding::UTF_8)
        raise InvalidEntry.of("", "malformed", Message.of("tables.not_utf8")) unless text.valid_encoding?

        content = JSON.parse(text)
        raise InvalidEntry.of("", "shape", Message.of("tables.specification_shape")) unless content.is_a?(Hash)

        new(content)
      rescue JSON::ParserError => e
        raise InvalidEntry.of(
                "",
                "malformed",
                Message.of("tables.not_json", because: e.message.lines.first.to_s.strip[0, 80])
              )
      end

      def initialize(content)
        @faults = []
        read_as_of(content["as_of"])
        @axles = read_axles(content["axles"])
        raise InvalidEntry, @faults if @faults.any?
      end

      def axle_names = @axles.keys

      # The part's values that a reading needs.
      def part(axle, part)
        known = @axles.fetch(axle).fetch(part, {})
        Core::Measurement::Normalise::Part.new(
          new_mm: known["new_mm"],
          backing_mm: known["backing_mm"],
          backing_uncertainty_mm: nil,
          kind: kind(axle)
        )
      end

      # -> "disc" or "drum"
      def brakes(axle) = @axles.fetch(axle).fetch("brakes")

      # sides: the sides the log speaks of -> { "pad" => PartSpecification, "rotor" => PartSpecification }; a drum is
      # not forecast
      def parts(axle, sides)
        pads = Core::Measurement::Positions::PADS.fetch(brakes(axle))
        components = { "pad" => sides.product(pads).map { |pair| pair.join("_") } }
        components["rotor"] = sides if brakes(axle) == "disc"
        components.to_h do |part, components|
          known = @axles.fetch(axle).fetch(part)
          [
            part,
            Core::Wear::PartSpecification.new(
              part:,
              components:,
              new_mm: known["new_mm"],
              limit_mm: known["limit_mm"] || known["discard_mm"],
              backing_mm: known["backing_mm"],
              backing_uncertainty_mm: nil,
              axle:,
              kind: kind(axle)
            )
          ]
        end
      end

      private

      # Whose usual values and wear are like its own (knowledge/wear/priors.yml); nil: a car's discs.
      def kind(axle) = brakes(axle) == "drum" ? "drum" : nil

      def refuse(field, message)
        @faults << InvalidEntry::FieldError.new(field:, code: "unreadable", message:)
        nil
      end

      def read_as_of(as_of)
        return if as_of.nil?
        return refuse("as_of", Message.of("tables.as_of_shape")) unless as_of.is_a?(Hash)

        @as_of_date = Date.iso8601(as_of["date"].to_s)
        @as_of_km =
          number("as_of.odometer_km", as_of["odometer_km"], 5_000_000) ||
            refuse("as_of.odometer_km", Message.of("tables.is_missing"))
      rescue Date::Error
        refuse("as_of.date", Message.of("faults.not_a_day", example: "2025-04-12"))
      end

      def read_axles(axles)
        return refuse("axles", Message.of("tables.no_axle_named")) || {} unless axles.is_a?(Hash) && axles.any?

        axles.to_h do |name, parts|
          [name, { "brakes" => kind_of_brakes("axles.#{name}", parts), **all_lengths("axles.#{name}", parts) }]
        end
      end

      def all_lengths(path, parts)
        LENGTHS.keys.to_h { |part| [part, lengths("#{path}.#{part}", parts, part)] }
      end

      def kind_of_brakes(path, parts)
        given = parts.is_a?(Hash) ? parts.fetch("brakes", "disc") : "disc"
        return given if BRAKES.include?(given)

        refuse("#{path}.brakes", Message.of("faults.choose", choices: BRAKES))
        "disc"
      end

      def lengths(path, parts, part)
        return refuse(path, Message.of("tables.axle_object")) || {} unless parts.is_a?(Hash)

        known = parts[part] || {}
        return refuse(path, Message.of("tables.object")) || {} unless known.is_a?(Hash)

        LENGTHS.fetch(part).to_h { |key| [key, number("#{path}.#{key}", known[key], LARGEST_MM)] }
      end

      def number(path, value, most)
        return if value.nil?
        return value.to_f if value.is_a?(Numeric) && value.to_f.finite? && value >= 0 && value <= most

        refuse(path, Message.of("tables.number_or_null", most:))
      end
    end
  end
end
