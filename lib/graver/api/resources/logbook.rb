# frozen_string_literal: true

module Graver
  module API
    module Resources
      # The log of all vehicles: searched by words, the story of each set, and what it all cost.
      class Logbook < Resource
        MOST = 60
        get "/logbook", :logbook
        get "/logbook/sets", :logbook_sets
        get "/logbook/costs", :logbook_costs

        def logbook
          found = index.call(params["words"].to_s[0, 200]).select { |line| wanted?(line) }
          spent = found.sum { |line| line[:spent] || 0.0 }.round(2)
          { count: found.length, spent:, currency:, lines: with_photos(found.first(most)) }
        end

        def logbook_sets
          told =
            chosen.flat_map do |vehicle|
              Service::Logbook::Sets.new(context).of_vehicle(vehicle.id).map { [vehicle, _1] }
            end
          {
            sets:
              told.map do |vehicle, set|
                { vehicle: vehicle.name, distance_unit: vehicle.distance_unit, **serializer.set(set) }
              end
          }
        end

        def logbook_costs
          { currency:, vehicles: Service::Logbook::Costs.new(context).call.map { |spent| serializer.cost(spent) } }
        end

        private

        def currency = Service::Workshop::MoneyChoices.new(context).chosen.fetch("currency")
        def overviews = @overviews ||= Service::Overview::VehicleOverviews.new(context)
        def serializer = @serializer ||= Serializers::Logbook.new(knowledge)

        def index
          context.standing([:logbook, Say::Spoken.english, Say::Spoken.lengths]) do
            lines = overviews.vehicles_ever.flat_map { |vehicle| lines(vehicle) }
            Service::Logbook::Search.new(lines.sort_by.with_index { |(line, _), at| [line[:date], -at] }.reverse)
          end
        end

        # A vehicle that can't be worked out doesn't hide the others' log.
        def lines(vehicle)
          overview = overviews.find(vehicle.id)
          serializer.lines(overview, Service::Logbook::Entries.new(context).of(overview))
        rescue StandardError => e
          ErrorLog.report(e)
          []
        end

        def chosen = overviews.vehicles.select { |vehicle| vehicle?(vehicle.id) }
        def vehicle?(number) = params["vehicle"].to_s.empty? || params["vehicle"] == number.to_s

        def wanted?(line)
          vehicle?(line[:vehicle_id]) && [nil, "", line[:kind]].include?(params["kind"]) &&
            line[:date].between?(day("from") || "0000", day("upto") || "9999")
        end

        # Not cached with the lines: a photo changes nothing else.
        def with_photos(lines)
          taken = Service::Logbook::PhotosTaken.new(context).call(lines.map { |line| line[:vehicle_id] }.uniq)
          lines.map { |line| { **line, photos: Serializers::Photos.call(taken.fetch(line.values_at(:kind, :id), [])) } }
        end

        def day(name) = params[name].to_s[/\A\d{4}-\d{2}-\d{2}\z/]
        def most = params["most"].to_s[/\A\d{1,4}\z/]&.to_i || MOST
      end
    end
  end
end
