# frozen_string_literal: true

module Graver
  module Service
    module Household
      # Fastener and other brake data of an axle as the planner wants them, with the torques that sources disagree on.
      class TorqueData
        # record: AxleRecord; sources: { key => [Storage::BrakeDatum] }, the newest of each source
        def initialize(record, knowledge, sources)
          @record = record
          @catalogue = knowledge.brake_data
          @sources = sources
        end

        # -> { key => { value:, unit:, source:, number:, torque:, rivals: } }
        def call = @record.data.to_h { |key, datum| [key, entry(key, datum)] }

        # Other values of a torque that differ from the one that counts, from any source, until the owner has chosen. A
        # copied or usual value is no source for a torque. -> [Storage::BrakeDatum]
        def rivals(key)
          now = @record.data[key] or return []
          @sources
            .fetch(key, [])
            .reject { |datum| Core::Planning::TorqueCard::HEARSAY.include?(datum.source) }
            .select { |datum| differs?(datum, now) }
        end

        # Storage::BrakeDatum -> Core::Planning::Torque
        def self.torque(datum) = Core::Planning::Torque.parse(datum.value, datum.unit)

        private

        def entry(key, datum)
          quantity = @catalogue.field(key)&.quantity
          {
            value: datum.value,
            unit: datum.unit,
            source: datum.source,
            number: %w[count angle].include?(quantity) ? @record.number(key) : nil,
            **(quantity == "torque" ? torques(key, datum) : {})
          }
        end

        def torques(key, datum)
          {
            torque: self.class.torque(datum),
            rivals: rivals(key).map { |rival| [self.class.torque(rival), rival.source] }
          }
        end

        def differs?(datum, now)
          share = @catalogue.rival_share(same: datum.source == now.source)
          self.class.torque(datum).differs?(self.class.torque(now), share)
        end
      end
    end
  end
end
