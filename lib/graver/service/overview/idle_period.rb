# frozen_string_literal: true

module Graver
  module Service
    module Overview
      # How long a vehicle stood since its brakes were last read, from the odometer's silence: measures of
      # rules/findings.yml.
      module IdlePeriod
        module_function

        # inspections: of one vehicle, oldest first; least_km: less than that between two odometers is standing; unit:
        # the owner's.
        def measures(inspections, today, least_km, unit)
          last = inspections.last or return {}
          at = inspections.rindex { |inspection| inspection.readings.any? { |row| row.event == "reading" } } || 0
          stood =
            inspections.drop(at).each_cons(2).select { |from, upto| upto.odometer_km - from.odometer_km < least_km }
          longest = stood.max_by { |from, upto| upto.date - from.date }
          {
            "silent_days" => (today - last.date).to_i,
            "silent_since" => last.date.iso8601,
            **(longest ? described(*longest, unit) : {})
          }
        end

        def described(from, upto, unit)
          driven = Core::Quantity::DISTANCE.from_base(upto.odometer_km - from.odometer_km, unit).round
          {
            "stood_days" => (upto.date - from.date).to_i,
            "stood_from" => from.date.iso8601,
            "stood_until" => upto.date.iso8601,
            "stood_said" => "#{driven} #{unit}"
          }
        end
      end
    end
  end
end
