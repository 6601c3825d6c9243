# frozen_string_literal: true

module Graver
  module Service
    module Household
      # Claims about an axle's pads that were not measured: the car's own counter, a shop's figure, as logged with its
      # inspections.
      class SaidOfPads
        # inspection: Storage::Inspection; value as entered; kind: :counter or :claim
        Said = Core::Value.define(:inspection, :kind, :value)
        KINDS = { "distance" => :counter, "mm" => :claim }.freeze

        def initialize(knowledge)
          @spreads = knowledge.hearsay
          @figures = knowledge.condition_figures.select(&:axle).to_h { |figure| [figure.id, figure] }
        end

        # Storage::Inspections of a vehicle, oldest first; the axle's name -> [Said]
        def call(inspections, axle)
          inspections.flat_map do |inspection|
            inspection.conditions.filter_map do |row|
              figure = @figures[row.item]
              Said.new(inspection:, kind: KINDS.fetch(figure.unit), value: row.value) if figure&.axle == axle
            end
          end
        end

        # The same as the forecast wants it: [Core::Wear::Hearsay]
        def hearsay(inspections, axle) = call(inspections, axle).map { |said| heard(said) }

        # Said -> Core::Wear::Hearsay
        def heard(said)
          counter = said.kind == :counter
          Core::Wear::Hearsay.new(
            odometer_km: said.inspection.odometer_km,
            left_km: counter ? left_km(said) : nil,
            thickness_mm: counter ? nil : number(said),
            spread: @spreads.fetch(counter ? "counter_log_sd" : "claim_sd_mm")
          )
        end

        private

        # A counter's figure is in the odometer's unit of that day.
        def left_km(said) = Core::Quantity::DISTANCE.to_base(number(said), said.inspection.odometer_unit)
        def number(said) = Core::Quantity::EnteredNumber.parse(said.value).value.to_f
      end
    end
  end
end
