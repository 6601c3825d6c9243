# frozen_string_literal: true

module Graver
  module Service
    module Household
      # What is on file of a part of a corner that is drawn: its brake data, and what was last read of it.
      class DrawnData
        # Position a part is read at: part, and which of the axle's pads or shoes.
        READ = {
          "inner_pad" => ["pad", 0],
          "leading_shoe" => ["pad", 0],
          "outer_pad" => ["pad", 1],
          "trailing_shoe" => ["pad", 1],
          "rotor" => ["rotor"],
          "drum" => ["drum"]
        }.freeze
        # As what its thickness or width is said.
        FIGURES = { "pad" => "pad_mm", "rotor" => "rotor_now_mm", "drum" => "drum_mm" }.freeze
        # label, value: in words
        Line = Core::Value.define(:label, :value)

        # record: AxleRecord; renewed: parts that are new, and so unread
        def initialize(knowledge, record, side, renewed)
          @catalogue = knowledge.brake_data
          @record = record
          @side = side
          @renewed = renewed
        end

        # Core::Drawing::PartKind -> [Line]
        def call(kind) = [*read(kind), *kind.data.filter_map { |key| line(key) }]

        private

        def read(kind)
          part, at = READ[kind.id]
          return [] if part.nil? || @renewed.include?(part)

          mm, day = part == "drum" ? widest : thinnest(part, *(at && @record.pads[at]))
          return [] unless mm

          length = @record.wording.fill("{#{FIGURES.fetch(part)}} mm", { FIGURES.fetch(part) => mm })
          [Line.new(label: Message.of("drawn.last_reading"), value: Message.of("drawn.read", length:, day:))]
        end

        def thinnest(part, *pad)
          _, inspection = @record.newest_row(part, @side, *pad)
          inspection && [@record.newest_mm(part, @side, *pad), inspection.date]
        end

        def widest
          rows, day = @record.newest_rows("drum", @side)
          rows && [rows.map { |row| @record.row_mm(row) }.max, day]
        end

        def line(key)
          datum = @record.data[key] or return
          label = own_label(@catalogue.field(key))
          value = [@catalogue.label(key, datum.value), datum.unit].compact.join(Typography::NO_BREAK)
          Line.new(label:, value: @record.wording.own(value))
        end

        # "Bracket bolts: torque" at the bracket bolts is "Torque".
        def own_label(field)
          label = field.fastener ? field.label.split(": ").last : field.label
          @record.wording.own(label).sub(/\A./, &:upcase)
        end
      end
    end
  end
end
