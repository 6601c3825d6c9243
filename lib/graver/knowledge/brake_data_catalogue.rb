# frozen_string_literal: true

module Graver
  module Knowledge
    # The brake data fields, where they apply, and the values each allows.
    class BrakeDataCatalogue
      UNITS = {
        "length" => Core::Quantity::LENGTH,
        "torque" => Core::Quantity::TORQUE,
        "volume" => Core::Quantity::VOLUME,
        "angle" => Core::Quantity::ANGLE
      }.freeze
      attr_reader :fields

      def initialize(content, calipers, fasteners, threads)
        @content = content
        @threads = threads
        @calipers = calipers
        written = content.fetch("fields") + FastenerFields.call(content.fetch("fastener_fields"), fasteners)
        @fields = written.map { |field| Core::Measurement::BrakeDataField.from(field) }.freeze
        @by_key = fields.to_h { |field| [field.key, field] }
      end

      def groups = @content.fetch("groups")
      def sources = @content.fetch("sources")
      # What a gap holds up: { id => label }
      def needs = @content.fetch("needs")
      def field(key) = @by_key[key]
      # A key that is not there says its value as it is.
      def label(key, value)
        known = field(key)
        (known && choices(known, nil)[value]) || value
      end
      # Two values of a torque that are this share apart are a question; same: from one source
      def rival_share(same: false) = @content.fetch("rival_share").fetch(same ? "same_source" : "value")
      def vehicle_wide?(key) = field(key)&.scope == "vehicle"

      # Fields that exist on an axle. A place that is not known (nil) leaves out what exists in some such places only.
      # place: as `place` gives it
      def applying(place)
        fields.select { |field| (field.where || {}).all? { |name, wanted| wanted.include?(place[name]) } }
      end

      # What decides what there is on an axle, under the names steps and fields use: { "vehicles" => "car", "powers" =>
      # "combustion", "axles" => "front", "calipers" => "fixed_opposed" or nil, ... }. powers: what drives the vehicle.
      # The block gives the choice on file of a field, or nil.
      def place(vehicle_kind, axle, powers: "combustion")
        @content
          .fetch("places")
          .each_with_object(
            { "vehicles" => vehicle_kind, "powers" => powers, "axles" => axle }
          ) do |(name, given), found|
            fits = (given["where"] || {}).all? { |other, wanted| wanted.include?(found[other]) }
            found[name] = fits ? given["is"] || built(given, yield(given.fetch("field"))) : given["otherwise"]
          end
      end

      # The property of an axle a field decides, by name (`place`), or nil.
      def place_of(key) = @content.fetch("places").find { |_, given| given["field"] == key }&.first

      # { id => label } a choice field offers on a kind of vehicle (nil: all).
      def choices(field, vehicle_kind)
        return {} unless field.choices
        return @content.fetch("choices").fetch(field.choices) unless field.choices == "calipers"

        @calipers
          .select { |caliper| vehicle_kind.nil? || caliper.vehicles.include?(vehicle_kind) }
          .to_h { |caliper| [caliper.id, caliper.label] }
      end

      # The owner's words for fasteners, by the axle's properties: { "wheel nut" => "wheel bolt" }
      def terms(place) = terms_of([place])

      # The same of what concerns several places at once: what they agree on; where they differ, the words for several.
      def terms_of(places)
        all =
          @content
            .fetch("terms")
            .map do |name, words|
              found = places.map { |place| place[name] }.uniq
              words.fetch(found.one? ? found.first : "several", {})
            end
        all.reduce({}, :merge)
      end

      def units(field) = UNITS[field.quantity]&.units || []

      # Checks one entry; returns its value in base units (mm, N·m, ml, degrees), its count, its text or its choice.
      # Raises InvalidEntry with the field "value", "unit", "source" or "key".
      def check(key, value, unit, source, vehicle_kind)
        field = field(key) or refuse("key", "unknown_key", Message.of("faults.unknown_key", key: key.to_s[0, 40]))
        unless sources.key?(source)
          refuse("source", "unknown_source", Message.of("faults.unknown_source", choices: sources.keys))
        end
        return check_choice(field, value, vehicle_kind) if field.quantity == "choice"
        return check_text(field, value) if field.quantity == "text"
        return check_name(field, value) if field.quantity == "name"

        range = field.quantity == "torque" ? Core::Quantity::EnteredRange.parse(value) : nil
        numbers = range ? [range.low, range.high].compact : [Core::Quantity::EnteredNumber.parse(value)]
        numbers.map { |number| within_bounds(field, in_base(field, number, unit)) }.last
      rescue InvalidEntry => e
        raise e.under(e.faults.first.field.empty? ? "value" : "")
      end

      private

      def built(given, value) = value && given["present"] ? given["present"] : value || given["assumed"]

      def refuse(field, code, message) = raise(InvalidEntry.of(field, code, message))

      def check_choice(field, value, vehicle_kind)
        offered = choices(field, vehicle_kind)
        return value if offered.key?(value)

        refuse(
          "value",
          "unknown_choice",
          Message.of("faults.labelled_choose", label: field.label, choices: offered.values)
        )
      end

      def check_text(field, value)
        Core::Planning::Thread.normal(value, @threads) ||
          refuse("value", "unknown_thread", Message.of("faults.unknown_thread", label: field.label, hint: field.hint))
      end

      LONGEST_NAME = 40
      private_constant :LONGEST_NAME

      def check_name(field, value)
        name = value.strip
        refuse("value", "missing", Message.of("faults.name")) if name.empty?
        refuse("value", "too_long", Message.of("faults.too_long", most: LONGEST_NAME)) if name.length > LONGEST_NAME
        refuse("value", "invalid", Message.of("shape.control")) if name.match?(/[[:cntrl:]]/)
        field && name
      end

      def in_base(field, number, unit)
        return number.value.to_i if field.quantity == "count" && number.value.denominator == 1

        refuse("value", "not_whole", Message.of("faults.whole", label: field.label)) if field.quantity == "count"
        table = UNITS.fetch(field.quantity)
        unless table.include?(unit)
          refuse("unit", "unknown_unit", Message.of("faults.unit_choose", label: field.label, choices: table.units))
        end
        table.to_base(number.value, unit)
      end

      def within_bounds(field, value)
        return value if value.between?(field.least, field.most)

        unit = UNITS[field.quantity]&.base
        bounds = { label: field.label, least: field.least, most: field.most }
        refuse(
          "value",
          "out_of_range",
          (
            if unit
              Message.of("faults.labelled_between_got", **bounds, unit:, value:)
            else
              Message.of("faults.labelled_from", **bounds)
            end
          )
        )
      end
    end
  end
end
