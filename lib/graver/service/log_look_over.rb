# frozen_string_literal: true

require_relative "axle_files"
require_relative "look_over_entry"

module Graver
  module Service
    # Saves a look-over of one axle, as entered, and clears its draft.
    class LogLookOver
      def initialize(context)
        @context = context
      end

      # given as for LookOverEntry, plus note. Returns the look-over's id. Raises InvalidEntry, NotFound.
      def call(axle_id, given)
        file = AxleFiles.new(@context).find(axle_id)
        entry = LookOverEntry.new(@context, file, given)
        refusal = entry.refusal
        raise refusal if refusal

        @context.store.transaction do
          id = @context.store.look_overs.add(vehicle_id: file.vehicle.id, date: entry.date, odometer: entry.odometer,
                                             note: given[:note], readings: entry.lines.flat_map { |line| rows(axle_id, line) }, at: @context.now)
          @context.store.drafts.remove(axle_id)
          id
        end
      end

      private

      def rows(axle_id, line)
        given = line.given
        common = { axle_id:, doubt: given[:keep] ? line.questions.first : nil, overall: given[:overall] || false,
                   **given.slice(:event, :part, :side, :pad, :method, :unit) }
        return [common.merge(value: nil)] if given[:values].to_a.empty?

        upper = given[:upper].to_s.strip
        given[:values].each_with_index.map { |value, at| common.merge(value: value.strip, upper: upper.empty? ? nil : upper, place: at + 1) }
      end
    end
  end
end
