# frozen_string_literal: true

module Graver
  module Service
    module Overview
      # What the vehicle's own display said was left of an axle's pads: taken down, never believed.
      module OwnCounter
        # said_km: then; left_km: of it from here
        Said = Core::Value.define(:date, :said_km, :left_km)

        module_function

        # The last one of the set that is on, or nil. overview: AxleOverview
        def of(knowledge, overview)
          file = overview.file
          figure = knowledge.condition_figures.find { |each| each.axle == file.axle.name } or return
          return unless overview.answer.pads

          row, look_over = newest(file, figure.id)
          return if row.nil? || renewed_since?(file, look_over)

          said_km = km(row, look_over)
          gone_km = overview.answer.as_of_km - look_over.odometer_km
          Said.new(date: look_over.date, said_km:, left_km: [said_km - gone_km, 0.0].max)
        end

        # In the unit of the odometer that day.
        def km(row, look_over)
          number = Core::Quantity::EnteredNumber.parse(row.value).value.to_f
          Core::Quantity::DISTANCE.to_base(number, look_over.odometer_unit)
        end

        def newest(file, item)
          file
            .look_overs
            .reverse
            .lazy
            .filter_map { |look_over| [look_over.conditions.find { |row| row.item == item }, look_over] }
            .find(&:first)
        end

        def renewed_since?(file, look_over)
          file.entries.any? { |entry| entry.part == "pad" && entry.renewal? && entry.date >= look_over.date }
        end

        private_class_method :km, :newest, :renewed_since?
      end
    end
  end
end
