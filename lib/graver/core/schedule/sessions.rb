# frozen_string_literal: true

module Graver
  module Core
    module Schedule
      # Groups jobs that fall due near each other into one session, so that the vehicle is lifted once.
      module Sessions
        # id; at_km and at_days from now when it should be done
        Due = Value.define(:id, :at_km, :at_days)
        # dues in order, the first sets the day; apart_km, apart_days: how far the last lies behind it
        Session = Value.define(:dues, :apart_km, :apart_days)

        module_function

        # [Due], the owner's rule: within_km and within_days of the first -> [Session] in order
        def combine(dues, within_km:, within_days:)
          groups =
            dues
              .sort_by { |due| [due.at_days, due.at_km, due.id] }
              .each_with_object([]) do |due, found|
                first = found.last&.first
                near = first && due.at_days - first.at_days <= within_days && due.at_km - first.at_km <= within_km
                near ? found.last << due : found << [due]
              end
          groups.map { |group| session(group) }
        end

        def session(group)
          Session.new(
            dues: group,
            apart_km: group.map(&:at_km).max - group.first.at_km,
            apart_days: group.last.at_days - group.first.at_days
          )
        end

        private_class_method :session
      end
    end
  end
end
