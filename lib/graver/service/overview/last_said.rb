# frozen_string_literal: true

module Graver
  module Service
    module Overview
      # The last claims about the current pads: by the vehicle's own display, by a shop.
      class LastSaid
        # said_km: then; left_km: of it from here; thickness_mm: of a claim
        Said = Core::Value.define(:date, :said_km, :left_km, :thickness_mm)

        # overview: AxleOverview
        def initialize(knowledge, overview)
          @knowledge = knowledge
          @overview = overview
          @file = overview.file
        end

        # -> Said, or nil
        def counter = newest(:counter)
        # Of a shop -> Said, or nil
        def claim = newest(:claim)

        private

        def newest(kind)
          return unless @overview.answer.pads

          spoken = Household::SaidOfPads.new(@knowledge)
          said = spoken.call(@file.inspections, @file.axle.name).reverse.find { |each| each.kind == kind }
          heard(said, spoken.heard(said)) unless said.nil? || renewed_since?(said.inspection)
        end

        def heard(said, hearsay)
          gone_km = @overview.answer.as_of_km - hearsay.odometer_km
          left_km = hearsay.left_km && [hearsay.left_km - gone_km, 0.0].max
          Said.new(date: said.inspection.date, said_km: hearsay.left_km, left_km:, thickness_mm: hearsay.thickness_mm)
        end

        def renewed_since?(inspection)
          @file.entries.any? { |entry| entry.part == "pad" && entry.renewal? && entry.date >= inspection.date }
        end
      end
    end
  end
end
