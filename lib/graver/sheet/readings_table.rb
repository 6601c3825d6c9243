# frozen_string_literal: true

module Graver
  module Sheet
    # The day's readings on a job's sheet, with room for those still to be taken: old and new pads, rotors or drums, the
    # odometer.
    class ReadingsTable
      # job: as the API answers it (symbol keys)
      def initialize(paper, job)
        @paper = paper
        @job = job
      end

      def draw
        @paper.heading(Say::Texts.t("sheet.readings"), room: 150)
        @paper.say Say::Texts.t("sheet.blanks", unit: @job[:vehicle][:distance_unit]), size: 10
        @paper.say Say::Texts.t("sheet.remarks"), size: 8, colour: Paper::QUIET
        units = %w[pad rotor].map { |kind| Say::Lengths.unit(kind) }.uniq
        unit = units.one? ? " (#{units.first})" : ""
        @paper.table(
          [["", "Old#{unit}", "New#{unit}", "Remarks"], *rows],
          widths: {
            0 => 150,
            1 => 90,
            2 => 90
          },
          size: 10
        )
      end

      private

      def rows
        @job[:axles].flat_map { |axle| axle[:axle][:corners].flat_map { |corner| corner_rows(axle[:axle], corner) } }
      end

      # What was read at the car stands in its row; the rest is filled in by hand.
      def corner_rows(axle, corner)
        where = { axle: axle[:name].capitalize, side: corner[:side] }
        named =
          corner[:pads].map do |pad|
            [corner[:drum] ? "sheet.shoe" : "sheet.pad", "pad", { pad: pad[:label] }, pad[:pad]]
          end
        turned = corner[:drum] ? "sheet.drum" : "sheet.rotor"
        [*named, [turned, turned.delete_prefix("sheet."), {}, nil]].map do |name, part, label, pad|
          [Say::Texts.t(name, **where, **label), read([axle[:id], part, corner[:side], pad]), "", ""]
        end
      end

      def read(place)
        @read ||=
          (@job[:steps] || [])
            .flat_map { |step| step[:reads] }
            .select { |read| read[:kind] == "reading" && read[:said] }
            .to_h { |read| [read.values_at(:axle_id, :part, :side, :pad), read[:said]] }
        @read.fetch(place, "")
      end
    end
  end
end
