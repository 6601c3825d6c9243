# frozen_string_literal: true

module Graver
  module Service
    module Household
      # The forecast of one axle as of today, from everything on file; cached per question.
      class AxleAnswer
        def initialize(context)
          @context = context
          @outlook = context.knowledge.outlook
        end

        # Today's odometer is not known: it is carried on from the last one at the usual driving. ->
        # Core::Schedule::AxleForecast::Answer
        def call(file, limit_mm: file.limit_mm)
          return answer(file, limit_mm) unless limit_mm == file.limit_mm

          file.once([:answer, @context.today]) { answer(file, limit_mm) }
        end

        private

        def answer(file, limit_mm)
          driving = @outlook.driving(file.odometer, file.vehicle.kind)
          last_date, last_km = file.odometer.max || [@context.today, 0.0]
          days = [(@context.today - last_date).to_i, 0].max
          asked = {
            entries: file.entries,
            beside: file.beside,
            specifications: file.specifications(limit_mm:),
            driving:,
            as_of_date: @context.today,
            as_of_km: last_km + (driving.km_per_day * days),
            planned: {
              trips: file.planned.trips,
              changes: file.planned.changes
            },
            costs: ScheduleChoices.new(@context).look_costs
          }
          @context.outlooks.fetch([@context.english, asked]) { @outlook.call(**asked) }
        end
      end
    end
  end
end
