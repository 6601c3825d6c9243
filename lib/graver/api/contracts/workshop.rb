# frozen_string_literal: true

require_relative "contract"

module Graver
  module API
    module Contracts
      # A measuring tool; numbers as texts, so that they are kept as entered.
      class NewInstrument < Contract
        json do
          required(:name).value(:string, max_size?: 60)
          required(:method).filled(:string, max_size?: 20)
          optional(:unit).filled(:string, max_size?: 10)
          %i[least most resolution uncertainty].each { |key| optional(key).maybe(:string, max_size?: 20) }
        end
      end

      # The same, any of it, and put away or taken back.
      class InstrumentChange < Contract
        json do
          optional(:name).value(:string, max_size?: 60)
          optional(:unit).filled(:string, max_size?: 10)
          %i[least most resolution uncertainty].each { |key| optional(key).maybe(:string, max_size?: 20) }
          optional(:retired).filled(:bool)
        end
      end

      # What an instrument showed against something known.
      class ZeroCheck < Contract
        json do
          required(:date).value(:string, max_size?: 20)
          required(:reference).value(:string, max_size?: 20)
          required(:read).value(:string, max_size?: 20)
          optional(:unit).filled(:string, max_size?: 10)
        end
      end

      # A device connected or let go, its knobs turned.
      class DeviceChange < Contract
        json do
          optional(:connected).filled(:bool)
          optional(:settings).value(:hash)
        end
      end

      # What a device is asked to send, and for which place.
      class DeviceReading < Contract
        json do
          required(:vehicle).filled(:integer)
          required(:quantity).filled(:string, included_in?: %w[length odometer fluid_level])
          optional(:axle).maybe(:integer)
          optional(:part).maybe(:string, included_in?: %w[pad rotor runout shoe])
          optional(:side).maybe(:string, included_in?: %w[left right])
          optional(:pad).maybe(:string, included_in?: %w[inner outer])
        end
      end

      # A torque wrench.
      class NewTorqueWrench < Contract
        json do
          required(:name).value(:string, max_size?: 60)
          required(:unit).value(:string, max_size?: 10)
          %i[least most graduation].each { |key| required(key).value(:string, max_size?: 20) }
          %i[length_mm calibrated_on].each { |key| optional(key).maybe(:string, max_size?: 20) }
        end
      end

      # A change of one.
      class TorqueWrenchChange < Contract
        json do
          optional(:name).value(:string, max_size?: 60)
          optional(:unit).value(:string, max_size?: 10)
          %i[least most graduation].each { |key| optional(key).value(:string, max_size?: 20) }
          %i[length_mm calibrated_on].each { |key| optional(key).maybe(:string, max_size?: 20) }
          optional(:retired).filled(:bool)
        end
      end
    end
  end
end
