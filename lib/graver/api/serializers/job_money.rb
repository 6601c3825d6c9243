# frozen_string_literal: true

module Graver
  module API
    module Serializers
      # Time and money of a job.
      class JobMoney
        # Service::Jobs::Money::Summary
        def call(card)
          {
            currency: card.currency,
            hours: hours(card.hours),
            **sums(card),
            unpriced: card.unpriced,
            shop_from: card.shop_from,
            over_km: card.over_km.round,
            choices: card.choices.map { |choice| choice(choice) },
            rotors: card.rotors.map { |choice| rotors(choice) },
            history: card.history.map(&:to_h),
            by_axle: card.by_axle.map { |axle, spent| { axle:, spent: spent.round(2) } },
            actual: false
          }
        end

        # The same for a finished job: as estimated and, where the owner entered it, as it was.
        def finished(now, closed)
          kept = closed.fetch("estimate", nil)&.transform_keys(&:to_sym) || {}
          hours = { **now[:hours], **kept.fetch(:hours, {}).transform_keys(&:to_sym) }
          taken(closed, { **now, **kept, hours: })
        end

        private

        def taken(closed, money)
          money = timed(closed["hours"].to_f, money) if closed["hours"]
          money = paid(closed["spent"].to_f, money) if closed["spent"] && closed["entered"] != false
          money
        end

        def timed(hours, money)
          low, high = money[:hours].values_at(:low, :high)
          own = low.positive? ? money[:own_time] * hours / Math.sqrt(low * high) : money[:own_time]
          said = Say::Formats.with_unit(format("%g", hours), "h")
          { **money, own_time: own.round(2), hours: { **money[:hours], low: hours, high: hours, said: }, actual: true }
        end

        def paid(spent, money)
          saving = money[:shop] && (money[:shop] - spent - money[:own_time]).round(2)
          { **money, total: spent, unpriced: [], saving:, actual: true }
        end

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
