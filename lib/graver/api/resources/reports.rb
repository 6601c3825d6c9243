# frozen_string_literal: true

module Graver
  module API
    module Resources
      # A report on a vehicle, on paper: the parts of it that are asked for.
      class Reports < Resource
        MOST_PHOTOS = 40
        get "/vehicles/:id/report.pdf", :vehicle_report

        def vehicle_report
          Download.new(
            type: "application/pdf",
            body: Sheet::VehicleReport.call(report.call(parts), paper),
            disposition: "inline; filename=\"report-#{id}.pdf\""
          )
        end

        private

        def parts = params["parts"].to_s.split(",")
        def paper = Sheet::Paper::SIZES.key?(params["paper"]) ? params["paper"] : "a4"
        def overview = @overview ||= Service::Overview::VehicleOverviews.new(context).find(id)
        def logbook = @logbook ||= Serializers::Logbook.new(knowledge)

        def report
          Serializers::VehicleReports.new(
            vehicle: Say::Voice.plain(Serializers::Vehicles.new(knowledge, context.today).call(overview)),
            log: logbook.lines(overview, Service::Logbook::Entries.new(context).of(overview)).map(&:first),
            sets:,
            data:,
            photos: parts.include?("photos") ? photos : [],
            today: context.today
          )
        end

        def sets
          bought = overview.finished.flat_map { |job| bought(job) }
          Service::Logbook::Sets
            .new(context)
            .of_vehicle(id)
            .map { |told| logbook.set(told) }
            .map { |set| { **set, bought: bought.filter_map { |row| row[:name] if of_set?(set, row) } } }
        end

        def bought(job)
          day = Date.iso8601(job.closed["day"])
          (job.closed["prices"] || []).map { |row| { day:, axle: row["axle"], name: row["name"], part: row["part"] } }
        end

        # Bought for the job that fitted it.
        def of_set?(set, row)
          kind = set[:part_of_length] == "pad" ? /\Apads?|shoe/ : /\Arotor|drum/
          set[:known] && row[:axle] == set[:axle] && row[:part].match?(kind) &&
            (row[:day] - Date.iso8601(set[:from])).abs <= 3
        end

        def data
          overview.axles.to_h do |axle|
            sheet = Service::Household::BrakeDataSheet.new(context).call(axle.file.axle.id)
            [axle.file.axle.id, Say::Voice.plain(Serializers::BrakeData.new(knowledge).call(sheet))]
          end
        end

        def photos
          Service::Measuring::Photos
            .new(context)
            .files_of_vehicle(id, MOST_PHOTOS)
            .map { |photo, bytes| [bytes, photo.day] }
        end
      end
    end
  end
end
