# frozen_string_literal: true

module Graver
  module Service
    module Household
      # How the pins and pistons of an axle moved, as marked at its inspections: the worst of each corner.
      class MovementFound
        WORST_FIRST = %w[seized stiff free].freeze

        def initialize(knowledge)
          @moves =
            knowledge
              .condition_items
              .flat_map { |item| item.marks.filter_map { |mark| mark.moves && [[item.id, mark.id], mark.moves] } }
              .to_h
        end

        # Storage::Inspections of a vehicle, oldest first -> [Core::Wear::Movement]
        def call(inspections, axle_id)
          inspections.flat_map do |inspection|
            marked = inspection.conditions.select { |row| row.axle_id == axle_id && @moves.key?([row.item, row.mark]) }
            marked
              .group_by(&:side)
              .map do |side, rows|
                found = rows.map { |row| @moves.fetch([row.item, row.mark]) }
                Core::Wear::Movement.new(
                  odometer_km: inspection.odometer_km,
                  side:,
                  how: WORST_FIRST.find { found.include?(_1) }
                )
              end
          end
        end
      end
    end
  end
end
