# frozen_string_literal: true

module Graver
  module Service
    module Measuring
      # Checks one mark or figure of an inspection.
      class ConditionEntry
        # files: { axle id => AxleRecord }
        def initialize(knowledge, files)
          @knowledge = knowledge
          @files = files
        end

        # given: { axle:, side:, face:, item:, mark:, value: } -> a row for the store. Raises InvalidEntry.
        def check(given)
          figure = @knowledge.condition_figure(given[:item])
          return figure_row(figure, given) if figure

          item = @knowledge.condition_item(given[:item]) or
            refuse("item", "unknown_item", Message.of("faults.unknown_item"))
          unless item.marks.any? { |mark| mark.id == given[:mark] }
            refuse(
              "mark",
              "unknown_mark",
              Message.of("faults.unknown_mark", mark: given[:mark].to_s[0, 24], item: item.label.downcase)
            )
          end
          check_place(item, given)
          {
            axle_id: given[:axle],
            **given.slice(:side, :face, :item, :mark),
            value: nil,
            simulated: given[:simulated] || false
          }
        end

        private

        def refuse(field, code, message) = raise(InvalidEntry.of(field, code, message))

        def check_place(item, given)
          return if item.place.nil?

          file = @files[given[:axle]] or refuse("axle", "unknown_axle", Message.of("faults.unknown_axle"))
          unless Household::LookedAt.of_brake?(item, file)
            refuse("item", "other_brake", Message.of("faults.other_brake", brakes: file.brake_kind.brakes))
          end
          unless file.axle.sides.include?(given[:side])
            refuse("side", "unknown_position", Message.of("faults.unknown_side", part: "brake"))
          end
          return if item.faces.include?(given[:face]) || !item.faces?
          refuse("face", "unknown_position", Message.of("faults.face", choices: item.faces))
        end

        def figure_row(figure, given)
          number = Core::Quantity::EnteredNumber.parse(given[:value]).value
          unless number.between?(figure.least, figure.most)
            refuse(
              "value",
              "out_of_range",
              Message.of(
                "faults.labelled_between",
                label: figure.label,
                least: figure.least,
                most: figure.most,
                unit: figure.unit
              )
            )
          end
          if figure.whole && number.denominator != 1
            refuse("value", "not_whole", Message.of("faults.whole", label: figure.label))
          end

          {
            axle_id: nil,
            side: nil,
            face: nil,
            item: given[:item],
            mark: nil,
            value: given[:value].strip,
            simulated: given[:simulated] || false
          }
        rescue InvalidEntry => e
          raise e.faults.first.field.empty? ? e.under("value") : e
        end
      end
    end
  end
end
