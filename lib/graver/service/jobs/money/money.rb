# frozen_string_literal: true

module Graver
  module Service
    module Jobs
      # Time and money of a job, compared with a shop; the cost of each choice of pads over its life; money spent so
      # far.
      class Money
        # Parts that wear by braking, by id in parts.yml.
        PADS = %w[pads brake_shoes].freeze
        # pads_cost, rotors_cost: per 1,000 km; the rotors' nil if unknown
        Choice = Core::Value.define(:axle, :supply, :life_km, :pads_cost, :rotors_cost)
        # what: "new" or "machined"; price: of both
        RotorChoice = Core::Value.define(:axle, :what, :price, :life_km, :per_1000_km)
        # own_time: what one's own hours count for; rotors: [RotorChoice] where it is a question. hours:
        # Core::Planning::Hours::Range; parts, consumables, tools: Float; unpriced: labels; shop: Float, shop_from:
        # "quote" or "estimate"; spent: Float, over_km: of what was spent before; history: [Paid] of parts; by_axle: {
        # axle name => Float } of what was spent
        Summary =
          Core::Value.define(
            :currency,
            :hours,
            :parts,
            :consumables,
            :tools,
            :own_time,
            :unpriced,
            :shop,
            :shop_from,
            :choices,
            :rotors,
            :spent,
            :over_km,
            :history,
            :by_axle
          ) do
            # Of what has a price.
            def total = parts + consumables + tools
            # The saving is unknown while a price is missing.
            def saving = shop && unpriced.empty? ? shop - total - own_time : nil

            # The summary as stored with a finished job.
            def said
              {
                currency:,
                parts: parts.round(2),
                consumables: consumables.round(2),
                tools: tools.round(2),
                own_time: own_time.round(2),
                total: total.round(2),
                shop: shop&.round(2),
                shop_from:,
                saving: saving&.round(2),
                unpriced:,
                hours: {
                  low: hours.low.round(1),
                  high: hours.high.round(1),
                  said: hours.said
                }
              }
            end
          end

        # What finished jobs took of money in all: as entered, else as they were estimated, where every price was known.
        def self.spent(jobs) = jobs.sum { |job| SpentBefore.of(job) || 0.0 }

        # hours_of: callable (Storage::Job) -> [Lift] of an earlier job
        def initialize(context, hours_of:)
          @context = context
          @rules = context.knowledge.hours
          @money = Workshop::MoneyChoices.new(context)
          @supplies = Workshop::Supplies.new(context)
          @hours_of = hours_of
        end

        # overview: VehicleOverviews::Overview; lists: { parts:, consumables:, tools: } of Shopping; earlier:
        # [Storage::Job] -> Summary
        def call(overview, chosen, ordered, lists, job, earlier)
          hours = hours(ordered.lifts, earlier)
          parts, consumables, tools = sums(lists)
          Summary.new(
            currency: @money.chosen["currency"],
            hours:,
            parts:,
            consumables:,
            tools:,
            own_time: @money.number("own_rate") * middle(hours),
            unpriced: unpriced(lists),
            shop: shop(job, parts, hours),
            shop_from: job&.quote ? "quote" : "estimate",
            choices: chosen.included.flat_map { |axle| choices(axle, lists[:parts]) },
            rotors: chosen.included.flat_map { |axle| rotors(axle, lists[:parts]) },
            spent: self.class.spent(earlier),
            over_km: over_km(overview),
            **SpentBefore.new(overview.vehicle, earlier).to_h
          )
        end

        private

        def hours(lifts, earlier)
          planner = Core::Planning::Hours.new(@rules)
          timed =
            earlier
              .select { |job| job.closed["hours"] }
              .map { |job| [job.closed["hours"].to_f, *planner.usual(@hours_of.call(job))] }
          planner.call(lifts, timed)
        end

        def sums(lists)
          missing = lists[:tools].select { |tool| tool.line.status == "missing" && !tool.resolved }
          [
            lists[:parts].filter_map(&:price).sum.to_f,
            lists[:consumables].filter_map(&:price).sum.to_f,
            missing.filter_map { |tool| tool.supply && @supplies.price(tool.supply) }.sum.to_f
          ]
        end

        def unpriced(lists)
          parts = lists[:parts].reject { |part| part.price || part.line.optional }
          tools = lists[:tools].select { |tool| tool.line.status == "missing" && !tool.resolved && !tool.supply&.price }
          parts.map { |part| part.line.label } +
            lists[:consumables].select { |each| each.state == "buy" && !each.price }.map(&:label) +
            tools.map { |tool| tool.line.label }
        end

        # The quote the owner was given, else one estimated from shop rates.
        def shop(job, parts, hours)
          return job.quote["total"].to_f if job&.quote

          labour = middle(hours) * @rules.dig("shop", "labour_hours_share")
          rates = {
            rate: @money.number("labour_rate"),
            markup_percent: @money.number("markup_percent"),
            tax_percent: @money.number("tax_percent")
          }
          Core::Planning::ShopQuote.call(parts:, hours: labour, **rates)
        end

        def middle(hours) = Math.sqrt(hours.low * hours.high)

        # New rotors against machined ones, as far as both are priced and what they have to wear is known.
        def rotors(axle, parts)
          discard, answer = axle.file.discard_mm, axle.overview.answer.rotors
          return [] unless discard && answer&.readings&.positive?

          wear = answer.rates.values.map { |rate| rate[1] }.max
          {
            "new" => new_rotors(axle, parts),
            "machined" => machined_rotors(axle, parts)
          }.filter_map do |what, (each, mm)|
            next unless each && mm

            price = each * axle.file.axle.sides.length
            cost = Core::Planning::RotorCost.call(price:, spare_mm: mm - discard, wear_mm_per_1000_km: wear) or next
            RotorChoice.new(axle: axle.name, what:, price:, life_km: cost[0], per_1000_km: cost[1])
          end
        end

        # [price of one, its thickness when fitted]
        def new_rotors(axle, parts) = [rotor_price(axle, parts), axle.file.length_mm("rotor.new_thickness")]

        def machined_rotors(axle, parts)
          thinnest = axle.judged_rotors.verdicts.values.filter_map(&:reading_mm).min
          least = axle.file.length_mm("rotor.machine_to_thickness") || axle.file.discard_mm
          left = thinnest && (thinnest - @context.knowledge.approaches.fetch("cut_mm"))
          [price_of("turning", axle, parts), (left if left && left >= least)]
        end

        def choices(axle, parts)
          part = parts.find { |each| each.line.axle == axle.name && PADS.include?(each.line.id) }
          pads = axle.overview.answer.pads
          return [] unless part && pads

          part.supplies.select(&:price).filter_map { |supply| choice(axle, supply, pads, parts) }
        end

        def choice(axle, supply, pads, parts)
          new_mm = @supplies.details_mm(supply)["thickness_mm"] || axle.file.known_new_pad_mm or return
          return if new_mm <= pads.limit_mm

          factor = supply.compound ? @context.knowledge.what_if.dig("pads", supply.compound, "factor") : 1.0
          life_km = life_km(axle.file, pads, factor:, new_mm:)
          own, rotors =
            Core::Planning::PadCost.call(
              price: @supplies.price(supply).to_f,
              life_km:,
              **rotor_share(axle, life_km, parts)
            )
          Choice.new(axle: axle.name, supply:, life_km:, pads_cost: own, rotors_cost: rotors)
        end

        # The median life of a new set; cached per log.
        def life_km(file, pads, **supposed)
          @context
            .outlooks
            .fetch({ pad_life: [file.entries, file.specifications], **supposed }) do
              pads.supposing(limit_mm: pads.limit_mm, **supposed).first.quantile(0.5)
            end
        end

        def rotor_share(axle, life_km, parts)
          price, spare_mm, rotors = rotor_price(axle, parts), rotor_spare_mm(axle.file), axle.overview.answer.rotors
          return {} unless price && spare_mm && rotors&.readings&.positive?

          {
            rotors_price: price * axle.file.axle.sides.length,
            rotor_wear_mm: rotors.rates.values.map { |rate| rate[1] }.max * life_km / 1000,
            rotor_spare_mm: spare_mm
          }
        end

        # Price of one: of the part to buy, else of the part on file.
        def rotor_price(axle, parts) = price_of("rotor", axle, parts)

        def price_of(item, axle, parts)
          bought = parts.find { |each| each.line.axle == axle.name && each.line.id == item }&.chosen
          supply = bought || @supplies.of_item("part", item, axle.file.axle.id).find(&:price)
          supply&.price && @supplies.price(supply).to_f
        end

        def rotor_spare_mm(file)
          new_mm = file.length_mm("rotor.new_thickness")
          new_mm && file.discard_mm && (new_mm - file.discard_mm)
        end

        def over_km(overview)
          km = overview.inspections.map(&:odometer_km)
          km.any? ? km.max - km.min : 0.0
        end
      end
    end
  end
end
