# frozen_string_literal: true

module Graver
  module API
    module Serializers
      # Time and money of a job.
      class JobMoney
        # Service::Planning::Money::Summary
        def call(card)
          {
            currency: card.currency,
            hours: hours(card.hours),
            **sums(card),
            unpriced: card.unpriced,
            shop_from: card.shop_from,
            over_km: card.over_km.round,
            choices: card.choices.map { |choice| choice(choice) },
            rotors: card.rotors.map { |choice| rotors(choice) }
          }
        end

        private

        def sums(card)
          {
            **card.to_h.slice(:parts, :consumables, :tools, :own_time, :shop, :spent),
            total: card.total,
            saving: card.saving
          }.transform_values { |sum| sum&.round(2) }
        end

        def hours(hours) = { low: hours.low.round(1), high: hours.high.round(1), jobs: hours.jobs, said: hours.said }

        def rotors(choice)
          {
            **choice.to_h.slice(:axle, :what),
            price: choice.price.round(2),
            life_km: choice.life_km.round,
            per_1000_km: choice.per_1000_km.round(2)
          }
        end

        def choice(choice)
          {
            axle: choice.axle,
            supply: choice.supply.id,
            name: choice.supply.name,
            life_km: choice.life_km.round,
            pads_per_1000_km: choice.pads_cost.round(2),
            rotors_per_1000_km: choice.rotors_cost&.round(2)
          }
        end
      end
    end
  end
end
