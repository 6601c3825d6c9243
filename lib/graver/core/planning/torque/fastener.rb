# frozen_string_literal: true

module Graver
  module Core
    module Planning
      # A kind of bolt, nut or screw (knowledge/fasteners.yml). per_corner: { caliper id => count };
      # plausible_newton_metres: [low, high]; counted_by: the brake data field with the count; snug: needs no torque;
      # shared: one for the whole axle; copy: how far its data may be copied; threadlocker: { what => conditions under
      # which it is usual }
      Fastener =
        Entry.define(
          :id,
          :label,
          :per_corner,
          :plausible_newton_metres,
          :note,
          :source,
          pad_job: false,
          snug: false,
          counted_by: nil,
          star: nil,
          threadlocker: nil,
          where: nil,
          copy: "never",
          shared: false
        ) do
          # Per corner: the owner's count, else the usual one for the caliper; one for an own fastener; nil if unknown.
          # data: { key => { number: EnteredNumber } }
          def count(caliper, data)
            counted = counted_by && data.dig(counted_by, :number)&.value&.to_i
            counted || per_corner[caliper] || (1 if data["#{id}.name"])
          end
        end
    end
  end
end
