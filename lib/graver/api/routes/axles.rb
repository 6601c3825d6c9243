# frozen_string_literal: true

module Graver
  module API
    module Routes
      # What is known, read and believed of one axle.
      module Axles
        def self.registered(app)
          app.helpers do
            def file = Service::Axles::AxleRecords.new(context).find(id)
            def brake_data_json = Serializers::BrakeData.new(knowledge, context.store).call(file)

            def asked_limit_mm(file)
              return file.limit_mm if params["limit_mm"].to_s.empty?

              limit = Core::Quantity::EnteredNumber.parse(params["limit_mm"]).value.to_f
              raise InvalidEntry.of("", "out_of_range", "a limit for pads lies between 1 and 12 mm") unless limit.between?(1, 12)

              limit
            rescue InvalidEntry => e
              raise e.under("limit_mm")
            end

            def suppositions = %i[year_distance use factor freed pads pads_mm].to_h { |key| [key, params[key.to_s].to_s[0, 40]] }

            def sureness(file)
              pads = Service::Axles::AxleAnswer.new(context).call(file).pads
              worth = pads ? Core::Wear::MeasurementValue.rank(pads, knowledge.pad_methods) : []
              kept = Service::Forecast::RecordForecasts.new(context)
              files = Service::Axles::AxleRecords.new(context).of(context.store.vehicles.all).values.flatten
              serializer = Serializers::Outlooks.new(knowledge)
              { worth: serializer.worth(worth), hindsight: serializer.hindsight(kept.held(file), Service::Forecast::RecordForecasts.calibration(files.flat_map { |each| kept.held(each) })),
                choices: serializer.choices }
            end
          end

          app.get("/axles/:id/brake-data") { answer(brake_data_json) }

          app.post("/axles/:id/brake-data") do
            Service::Household::RecordBrakeData.new(context).call(id, payload(Contracts::BrakeDataEntries).fetch(:entries))
            answer(brake_data_json)
          end

          app.get("/axles/:id/brake-data/proposals") do
            proposals = Service::Household::BrakeDataProposals.new(context)
            from = params["from"].to_s
            found = from.match?(/\A\d{1,15}\z/) ? proposals.copy(id, from.to_i) : proposals.template(id)
            answer(found.to_h)
          end

          app.get("/axles/:id/wear") do
            mine = file
            answer(Serializers::Wear.new(knowledge).call(Service::Overview::AxleOverview.new(context).call(mine, limit_mm: asked_limit_mm(mine))))
          end

          app.get("/axles/:id/what-if") do
            mine = file
            answer(Serializers::Outlooks.new(knowledge).what_if(Service::Forecast::WhatIf.new(context).call(mine, suppositions, limit_mm: asked_limit_mm(mine))))
          end

          # What would be worth measuring, and how earlier forecasts of this axle (and of the whole garage) did.
          app.get("/axles/:id/sureness") { answer(sureness(file)) }
        end
      end
    end
  end
end
