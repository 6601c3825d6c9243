# frozen_string_literal: true

module Graver
  module Core
    module Measurement
      # Converts an entered reading to friction (or rotor) thickness in mm with its error. Pure; one instance per set of
      # rules.
      class Normalise
        # What is known of the part: lengths in mm or nil. `backing_uncertainty_mm` belongs to `backing_mm`.
        # limit_overall: the limit that counts is stated with the plate, so that the plate's own error cancels for what
        # is read with it, and comes in for what is read without. kind: of vehicle, or nil: a car.
        Part =
          Value.define(:new_mm, :backing_mm, :backing_uncertainty_mm, :limit_overall, :kind) do
            def initialize(limit_overall: false, kind: nil, **rest) = super
            # A part of which nothing is on file.
            def self.unknown = new(new_mm: nil, backing_mm: nil, backing_uncertainty_mm: nil)
          end

        # Units of "how much of the new thickness is left", and what one of them is in percent.
        SHARES = { "percent" => 1r, "share" => 100r }.freeze

        # rules: MeasurementRules (standard uncertainties by method and part, typical values, tab height).
        def initialize(rules)
          @rules = rules
          freeze
        end

        # Reading, Part -> Thickness. Raises InvalidEntry naming the field.
        def call(reading, part)
          check(reading)
          case reading.method
          when "gauge", "photo"
            between(reading, part)
          when "percent"
            percent(reading, part)
          else
            point(reading, part)
          end
        end

        # A squealer that just touches, or a sensor that has lit, gives the pad's position without a number.
        def event(kind)
          tab = @rules.tab(kind)
          Thickness.point(tab.fetch(:height_mm), tab.fetch(:standard_uncertainty_mm))
        end

        private

        def check(reading)
          if SHARES.key?(reading.unit) != (reading.method == "percent")
            refuse("unit", "unit_for_method", Message.of("faults.share_units"))
          elsif reading.method == "percent" && reading.part != "pad"
            refuse("method", "method_for_part", Message.of("faults.no_share", part: reading.part))
          elsif !@rules.method?(reading.method, reading.part)
            refuse(
              "method",
              "method_for_part",
              Message.of("faults.method_for_part", part: reading.part, method: reading.method)
            )
          end
        end

        def point(reading, part)
          plate, plate_u, assumed = plate(reading, part)
          step_mm = to_mm(reading.value.step, reading.unit)
          # A typed digit is a rectangle one step wide.
          shown_mm = to_mm(reading.value.value, reading.unit)
          reading.instrument&.check(shown_mm)
          uncertainty = TypeB.combined(method_uncertainty_mm(reading), TypeB.resolution(step_mm), plate_u)
          shared = TypeB.combined(shared_mm(reading), plate_u)
          Thickness.point(
            within(reading, shown_mm - plate),
            uncertainty,
            assumed:,
            shared_mm: shared,
            group: group(reading),
            repeat_mm: @rules.repeatability_mm(reading.method, step_mm.to_f)
          )
        end

        def between(reading, part)
          plate, plate_u, assumed = plate(reading, part)
          lower = to_mm(reading.value.value, reading.unit)
          upper = upper_mm(reading, lower)
          assumed += ["gauge_step"] unless reading.upper
          edge = TypeB.combined(method_uncertainty_mm(reading), plate_u)
          Thickness.interval(
            [within(reading, lower - plate), 0.0].max,
            within(reading, upper - plate),
            edge_mm: edge,
            assumed:,
            shared_mm: shared_mm(reading),
            group: group(reading)
          )
        end

        # The next leaf of a gauge is one step up; a photo gave both bounds.
        def upper_mm(reading, lower)
          photo = reading.method == "photo"
          refuse("upper", "missing", Message.of("faults.no_upper")) if photo && !reading.upper
          upper = reading.upper ? to_mm(reading.upper.value, reading.unit) : lower + @rules.gauge_step_mm
          return upper if upper > lower

          refuse("upper", "gauge_order", Message.of(photo ? "faults.photo_order" : "faults.gauge_order"))
        end

        def percent(reading, part)
          share = (reading.value.value * SHARES.fetch(reading.unit)).to_f
          unless share.between?(0, 100)
            refuse("value", "out_of_range", Message.of("faults.share_between", value: share))
          end
          typical = @rules.typical_new(part.kind)
          new_mm = part.new_mm || typical.fetch(:mm)
          by_eye = @rules.percent_standard_uncertainty / 100.0 * new_mm
          unknown_new = part.new_mm ? 0.0 : share / 100.0 * typical.fetch(:standard_uncertainty_mm)
          Thickness.point(
            share / 100.0 * new_mm,
            TypeB.combined(by_eye, unknown_new),
            assumed: part.new_mm ? [] : ["new_thickness"],
            group: group(reading),
            shared_mm: TypeB.combined(by_eye * Math.sqrt(@rules.shared("percent")), unknown_new)
          )
        end

        # [what is subtracted, its uncertainty, what was assumed]. A limit that includes the plate needs no correction
        # for a reading that includes it too.
        def plate(reading, part)
          return 0.0, 0.0, [] unless reading.part == "pad" && (reading.overall || part.limit_overall)

          plate_mm, uncertainty_mm, assumed = known_plate(part)
          [reading.overall ? plate_mm : 0.0, reading.overall == part.limit_overall ? 0.0 : uncertainty_mm, assumed]
        end

        def known_plate(part)
          if part.backing_mm
            return part.backing_mm, part.backing_uncertainty_mm || @rules.known_backing_uncertainty_mm, []
          end

          [@rules.typical_backing_mm, @rules.typical_backing_uncertainty_mm, ["backing_plate"]]
        end

        # A pad reading a little below its plate is metal to metal; far below, or beyond any part, it was misread.
        def within(reading, value_mm)
          least, most = @rules.range_mm(reading.part)
          return [value_mm, 0.0].max if value_mm.between?(reading.overall ? -1.0 : least, most)

          refuse(
            "value",
            "out_of_range",
            Message.of("faults.thickness_between", value: value_mm, part: reading.part, least:, most:)
          )
        end

        def to_mm(value, unit)
          return Quantity::LENGTH.to_base(value, unit) if Quantity::LENGTH.include?(unit)

          refuse("unit", "unknown_unit", Message.of("faults.thickness_unit", choices: Quantity::LENGTH.units, unit:))
        end

        # The part of the error that all readings of that day by this eye or gauge share.
        def shared_mm(reading) = method_uncertainty_mm(reading) * Math.sqrt(@rules.shared(reading.method))
        def group(reading) = [reading.method, reading.instrument&.standard_uncertainty_mm]
        def method_uncertainty_mm(reading)
          @rules.standard_uncertainty_mm(reading.method, reading.part, reading.instrument&.standard_uncertainty_mm)
        end
        def refuse(field, code, message) = raise(InvalidEntry.of(field, code, message))
      end
    end
  end
end
