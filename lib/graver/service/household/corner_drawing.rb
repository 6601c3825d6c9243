# frozen_string_literal: true

module Graver
  module Service
    module Household
      # A corner as it is drawn in three dimensions: by its brake data, as thick as it was last read.
      class CornerDrawing
        # What is drawn while the kind of brake is unknown, by the vehicle's kind.
        UNKNOWN_KIND = { "motorcycle" => "motorcycle_floating", "trailer" => "drum_overrun" }.freeze
        CAR = "floating_slide_pins"
        # axle: its name, or nil; side: "left" or "right"; parts: [Core::Drawing::Corner::DrawnPart]; labels: { part id
        # => in the owner's words }; data: { part id => [DrawnData::Line] }; scale: what lengths of a usual brake are
        # multiplied by
        Drawn = Core::Value.define(:axle, :side, :parts, :labels, :data, :scale)

        def initialize(knowledge)
          @knowledge = knowledge
        end

        # record: AxleRecord; configuration: as planned, or nil: as it is; renewed: parts that are new ("pad", "rotor");
        # marks: [[id of a mark, "inner" or "outer"]] of the rotor's faces -> Drawn
        def call(record, side, configuration: nil, renewed: [], marks: [])
          configuration ||= { **record.place, "sensors" => record.sensor_sides.include?(side) }
          configuration = assumed(record, configuration) unless configuration["calipers"]
          sizes = sizes(record, side, configuration, renewed)
          seen = renewed.include?("rotor") ? [] : marks
          data = DrawnData.new(@knowledge, record, side, renewed)
          drawn(configuration, sizes, record.axle.name, side, unknown: unknown(record), seen:) do |kind|
            [record.wording.own(kind.label), data.call(kind)]
          end
        end

        # A usual brake of a kind (knowledge/calipers.yml), on the left. Raises NotFound.
        def usual(kind)
          caliper = @knowledge.caliper(kind) or raise NotFound
          place = Core::Drawing::UsualBrake.call(caliper)
          drawn(place, Core::Drawing::Sizes.from({}, place), nil, "left") { |kind| [kind.label, []] }
        end

        private

        def assumed(record, configuration)
          kind = UNKNOWN_KIND.fetch(record.vehicle.kind, CAR)
          { **configuration, "calipers" => kind, "brakes" => disc_or_drum(kind) }
        end

        def disc_or_drum(kind) = kind.start_with?("drum") ? "drum" : "disc"

        def drawn(configuration, sizes, axle, side, **beside)
          mirrored = side == "right"
          parts = Core::Drawing::Corner.call(@knowledge.drawn_parts, configuration, sizes, mirrored:, **beside)
          said = parts.to_h { |part| [part.kind.id, yield(part.kind)] }
          labels, data = [0, 1].map { |at| said.transform_values { |each| each[at] } }
          Drawn.new(axle:, side:, parts:, labels:, data:, scale: sizes.scaled(1))
        end

        # Keys of brake data that this brake has and nobody has entered.
        def unknown(record)
          @knowledge.brake_data.applying(record.place).map(&:key).reject { |key| record.data.key?(key) }
        end

        def sizes(record, side, configuration, renewed)
          own = record.drum? ? drum_sizes(record) : disc_sizes(record, side, renewed)
          inner, outer = record.pads.map { |pad| renewed.include?("pad") ? nil : record.newest_mm("pad", side, pad) }
          counts = counts(record, configuration)
          Core::Drawing::Sizes.from(
            { **own, inner_mm: inner, outer_mm: outer, new_mm: new_mm(record), counts: },
            configuration
          )
        end

        def new_mm(record) = record.known_new_pad_mm || record.new_pad_mm

        def disc_sizes(record, side, renewed)
          read = renewed.include?("rotor") ? nil : record.newest_mm("rotor", side)
          {
            diameter_mm: record.length_mm("rotor.diameter"),
            thickness_mm: read || record.length_mm("rotor.new_thickness") || record.discard_mm,
            vented: record.choice("rotor.kind")&.then { |kind| kind == "vented" },
            plate_mm: record.length_mm("pad.backing_plate"),
            piston_mm: record.length_mm("caliper.piston_diameter"),
            pistons: record.count("caliper.piston_count")
          }
        end

        def drum_sizes(record)
          { diameter_mm: record.length_mm("drum.new_diameter"), piston_mm: record.length_mm("cylinder.diameter") }
        end

        # { fastener id => how many at this corner }
        def counts(record, configuration)
          data = record.planning_data
          @knowledge
            .fasteners
            .to_h { |fastener| [fastener.id, fastener.count(configuration["calipers"], data)] }
            .compact
        end
      end
    end
  end
end
