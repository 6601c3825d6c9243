# frozen_string_literal: true

require "date"

module Graver
  module Service
    module Household
      # What stays open at a vehicle until its owner closes it.
      class FollowUps
        include Base::FieldErrors

        LONGEST = 300
        # Open ones of a vehicle at a time.
        MOST = 50
        SIDES = %w[left right].freeze
        FURTHEST_YEARS = 5

        def initialize(context)
          @context = context
          @store = context.store
        end

        # [Storage::Vehicle] -> { vehicle id => [Storage::FollowUp] }, closed ones too
        def of(vehicles)
          found = @store.follow_ups.of_vehicles(vehicles.map(&:id))
          vehicles.to_h { |vehicle| [vehicle.id, found.fetch(vehicle.id, [])] }
        end

        # given: { text:, axle_id:, side:, look_on: ISO day }, all but the text may be nil -> Storage::FollowUp. about:
        # the rule of the finding it answers; closed_because: the cause, if known at once. Raises InvalidEntry by field,
        # NotFound.
        def add(vehicle_id, given, about: nil, closed_because: nil)
          vehicle = @store.vehicles.find(vehicle_id)
          if of([vehicle]).fetch(vehicle.id).count(&:open?) >= MOST
            raise InvalidEntry.of("", "too_many", Message.of("faults.too_many_open", most: MOST))
          end

          @faults = []
          row = { **where(vehicle, given), text: words("text", given[:text]), look_on: day(given[:look_on]), about: }
          raise_faults
          @store.transaction { keep(vehicle.id, row, closed_because) }
        end

        # because: the cause, or the work done -> Storage::FollowUp. Raises InvalidEntry, NotFound.
        def close(id, because)
          @store.follow_ups.find(id)
          @faults = []
          because = words("because", because)
          raise_faults
          change(id) { @store.follow_ups.close(id, because, on: @context.today) }
        end

        # Closed too soon. Raises NotFound.
        def reopen(id)
          @store.follow_ups.find(id)
          change(id) { @store.follow_ups.reopen(id) }
        end

        private

        def keep(vehicle_id, row, closed_because)
          id = @store.follow_ups.add(vehicle_id, row, on: @context.today, at: @context.now)
          @store.follow_ups.close(id, closed_because, on: @context.today) if closed_because
          @store.follow_ups.find(id)
        end

        def change(id, &block)
          @store.transaction(&block)
          @store.follow_ups.find(id)
        end

        def where(vehicle, given)
          axle_id, side = given.values_at(:axle_id, :side)
          unless axle_id.nil? || vehicle.axles.any? { |axle| axle.id == axle_id }
            fault("axle_id", "unknown_axle", Message.of("faults.unknown_axle"))
          end
          unless [nil, *SIDES].include?(side)
            fault("side", "unknown_choice", Message.of("faults.choose", choices: SIDES))
          end
          { axle_id:, side: }
        end

        def words(field, text)
          text = text.to_s.strip
          return fault(field, "missing", Message.of("faults.few_words")) if text.empty?
          return text if text.length <= LONGEST

          fault(field, "too_long", Message.of("faults.too_long", most: LONGEST))
        end

        def day(text)
          return if text.to_s.strip.empty?

          date = Date.iso8601(text)
          return date.iso8601 if date.between?(@context.today, @context.today >> (12 * FURTHEST_YEARS))

          if date < @context.today
            fault("look_on", "in_past", Message.of("faults.past_event"))
          else
            fault("look_on", "out_of_range", Message.of("faults.day_too_far", years: FURTHEST_YEARS))
          end
        rescue Date::Error
          fault("look_on", "not_a_day", Message.of("faults.not_a_day", example: @context.today.iso8601))
        end
      end
    end
  end
end
