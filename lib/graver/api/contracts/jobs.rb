# frozen_string_literal: true

require_relative "contract"
require_relative "look_overs"

module Graver
  module API
    module Contracts
      # A job to be planned.
      class NewJob < Contract
        json { optional(:planned_for).maybe(:string, max_size?: 20) }
      end

      # A job moved, made ready, started or dropped.
      class JobChange < Contract
        json do
          optional(:planned_for).maybe(:string, max_size?: 20)
          optional(:state).maybe(:string, included_in?: %w[draft ready started dropped])
          optional(:because).maybe(:string, max_size?: 500)
        end
      end

      # A job that is done: when, at which odometer, and how thick what went on is.
      class JobFinish < Contract
        MOST_FITS = 12
        json do
          optional(:date).maybe(:string, max_size?: 20)
          # An empty odometer is let through: what is wrong with it is said with all the rest.
          required(:odometer).hash do
            required(:value).value(:string, max_size?: 20)
            optional(:unit).filled(:string, included_in?: DISTANCE_UNITS)
            optional(:keep).filled(:bool)
          end
          optional(:fitted).value(:array, max_size?: MOST_FITS).each do
            hash do
              required(:axle).filled(:integer)
              required(:part).filled(:string, included_in?: %w[pad rotor])
              required(:value).maybe(:string, max_size?: 40)
              optional(:unit).maybe(:string, included_in?: READING_UNITS - %w[percent share])
            end
          end
          optional(:hours).maybe(:string, max_size?: 20)
          optional(:spent).maybe(:string, max_size?: 20)
        end
      end

      # A step done another way, or left out for a reason.
      class Otherwise < Contract
        json do
          required(:step).filled(:string, max_size?: 80)
          required(:because).value(:string, max_size?: 500)
        end
      end

      # What was left out is made good.
      class Cleared < Contract
        json { required(:step).filled(:string, max_size?: 80) }
      end

      # What is done on which axle: { axles: { "1": ["pads", "clips"] }, reasons: { "1": "..." } }.
      class JobScope < Contract
        MOST_AXLES = 6
        MOST_WORKS = 20

        json do
          required(:axles).value(:hash)
          optional(:reasons).value(:hash)
        end

        rule(:axles) do
          fine = value.length <= MOST_AXLES && value.all? { |id, works| id.to_s.match?(/\A\d{1,15}\z/) && works.is_a?(Array) && works.length <= MOST_WORKS && works.all?(String) }
          key.failure("needs an axle's id with a list of works for each") unless fine
        end

        rule(:reasons) do
          fine = value.nil? || (value.length <= MOST_AXLES && value.all? { |_, text| text.nil? || (text.is_a?(String) && text.length <= 500) })
          key.failure("needs a text for each axle") unless fine
        end
      end

      # A step ticked off.
      class Tick < Contract
        json do
          required(:step).filled(:string, max_size?: 80)
          required(:done).filled(:bool)
        end
      end

      # Something of the readiness that is settled, or is not.
      class Settled < Contract
        json do
          required(:item).filled(:string, max_size?: 120)
          required(:done).filled(:bool)
        end
      end

      # Which of the owner's parts is bought for a line.
      class PartChoice < Contract
        json do
          required(:line).filled(:string, max_size?: 80)
          required(:supply).maybe(:integer)
        end
      end

      # What a shop asks.
      class Quote < Contract
        json { required(:total).maybe(:string, max_size?: 20) }
      end

      # A note at a step.
      class StepNote < Contract
        json do
          required(:step).filled(:string, max_size?: 80)
          required(:text).value(:string, max_size?: 500)
        end
      end

      # A change of the order.
      class Adjustment < Contract
        json do
          required(:deed).filled(:string, included_in?: %w[drop insert move])
          optional(:key).maybe(:string, max_size?: 80)
          optional(:after).maybe(:string, max_size?: 80)
          optional(:text).maybe(:string, max_size?: 500)
        end
      end
    end
  end
end
